<?php

declare(strict_types=1);

namespace App\Words;

use Gimbo\Core\Design\Design;
use NumberFormatter;

/** Sentences as they are said aloud: 3 5/8 in is “three and five eighths inches” (numbers by ICU's spell-out rules). */
final readonly class Spoken
{
    private const FIGURE = '~^(-?\d+(?:\.\d+)?)?\s*(?:(\d+)/(\d+))?\s*(in|mm|cm)?$~';

    private NumberFormatter $numbers;

    public function __construct(private Words $words)
    {
        $this->numbers = new NumberFormatter($words->language(), NumberFormatter::SPELLOUT);
    }

    /** @return list<string> each step as it is said aloud */
    public function steps(Design $design): array
    {
        $said = new StepWords($this->words, $design);

        return array_map(fn (int $i) => implode(' ', array_map($this->of(...), $said->of($i))), array_keys($design->steps()));
    }

    public function of(Sentence $sentence): string
    {
        return implode('', array_map(fn (string|Figure $part) => is_string($part) ? $part : $this->figure($part->text), $sentence->parts));
    }

    /** A figure as makers say it; anything else as it is written. */
    public function figure(string $text): string
    {
        if (preg_match(self::FIGURE, trim($text), $found) !== 1 || trim($text) === '') {
            return $text;
        }
        [, $whole, $over, $under, $unit] = $found + ['', '', '', '', ''];
        $part = $under === '' ? null : ($this->words->has("spoken.part.$under")
            ? $this->words->sentence("spoken.part.$under", ['count' => (int) $over, 'number' => $this->number((float) $over)]) : "$over/$under");
        $number = match (true) {
            $part === null => $this->number((float) $whole),
            $whole === '' || $whole === '0' => $part,
            default => $this->words->sentence('spoken.whole-and-part', ['whole' => $this->number((float) $whole), 'part' => $part]),
        };
        if ($unit === '') {
            return $number;
        }

        return $part === $number && $this->words->has("spoken.$unit.part")
            ? $this->words->sentence("spoken.$unit.part", ['number' => $number])
            // Whatever is not just one takes the form of many: one and a half inches.
            : $this->words->sentence("spoken.$unit", ['count' => $part === null && $whole === '1' ? 1 : 2, 'number' => $number]);
    }

    private function number(float $value): string
    {
        return (string) $this->numbers->format($value);
    }
}
