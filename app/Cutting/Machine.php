<?php

declare(strict_types=1);

namespace App\Cutting;

use Gimbo\Core\Design\Piece;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;

/** A cutting machine, where it is reached, and how large a sheet its bed takes. */
final readonly class Machine
{
    private function __construct(public string $name, public string $host, public int $port, public bool $answers, public Length $width, public Length $height)
    {
    }

    /** @param array{name: string, host: string, port: int, answers?: string, width: string, height: string} $entry as the library keeps it */
    public static function of(array $entry): self
    {
        return new self($entry['name'], $entry['host'], $entry['port'], ($entry['answers'] ?? 'yes') === 'yes', LengthParser::parse($entry['width']), LengthParser::parse($entry['height']));
    }

    /** @return array{name: string, host: string, port: int, answers: bool} what a job has to know of it */
    public function address(): array
    {
        return ['name' => $this->name, 'host' => $this->host, 'port' => $this->port, 'answers' => $this->answers];
    }

    /** Whether the piece has to lie turned on the bed; null where it does not fit either way. */
    public function turns(Piece $piece): ?bool
    {
        [$wide, $high] = [$piece->sheet->width, $piece->sheet->height];
        $takes = fn (Length $across, Length $along): bool => ! $across->isMoreThan($this->width) && ! $along->isMoreThan($this->height);

        return match (true) {
            $takes($wide, $high) => false,
            $takes($high, $wide) => true,
            default => null,
        };
    }
}
