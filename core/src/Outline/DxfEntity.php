<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/** One entity of a DXF drawing while it is read: its group codes, and those of its vertices where it has some of its own. */
final class DxfEntity
{
    /** @var list<array{int, string}> */
    public array $codes = [];

    /** @var list<array<int, string>> */
    public array $vertices = [];

    public function __construct(public readonly string $type)
    {
    }

    public function put(int $code, string $value): void
    {
        $last = count($this->vertices) - 1;
        if ($last >= 0) {
            $this->vertices[$last][$code] = $value;
        } else {
            $this->codes[] = [$code, $value];
        }
    }

    /** The first value with that code. */
    public function get(int $code): ?string
    {
        foreach ($this->codes as [$known, $value]) {
            if ($known === $code) {
                return $value;
            }
        }

        return null;
    }

    /** @throws InvalidDocument */
    public function number(int $code, float $else = 0.0): float
    {
        $text = $this->get($code);

        return $text === null ? $else : self::read($text);
    }

    /** The point whose x has that code, and y the code ten above it. */
    public function point(int $code): Point
    {
        return new Point($this->number($code), $this->number($code + 10));
    }

    /** @return list<float> all numbers with that code */
    public function numbers(int $code): array
    {
        return array_map(fn (array $pair) => self::read($pair[1]), array_values(array_filter($this->codes, fn (array $pair) => $pair[0] === $code)));
    }

    /** @return list<Point> all points whose x has that code */
    public function points(int $code): array
    {
        return array_map(fn (float $x, ?float $y) => new Point($x, $y ?? 0.0), $xs = $this->numbers($code), array_slice($this->numbers($code + 10), 0, count($xs)));
    }

    /** Whether it is seen along the third axis downwards, so that left and right are exchanged. */
    public function isFromBelow(): bool
    {
        return $this->number(230, 1.0) < 0;
    }

    /** @throws InvalidDocument where the text is no number */
    public static function read(string $text): float
    {
        return is_numeric($text) && is_finite((float) $text) ? (float) $text : throw InvalidDocument::at('/file', Reason::of('outline.number', ['text' => Reason::quote($text)]));
    }
}
