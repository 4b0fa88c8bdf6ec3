<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Models\Entry;
use App\Words\Words;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;

/** What a plan calls its pieces and papers, and how it says a length. */
final readonly class Names
{
    private LengthFormatter $figures;

    private LengthFormatter $others;

    /** @var array<string, string> a letter a piece, by id */
    public array $letters;

    public function __construct(private Planned $planned, private Words $words)
    {
        $first = array_values($planned->sized)[0] ?? null;
        $system = $first->request->system ?? System::Imperial;
        $this->figures = LengthFormatter::for($system);
        $this->others = LengthFormatter::for($system === System::Imperial ? System::Metric : System::Imperial);
        $letters = [];
        foreach (array_keys($planned->labels) as $n => $id) {
            $letters[$id] = self::letter($n);
        }
        $this->letters = $letters;
    }

    /** Of the first design's system. */
    public function unit(): Unit
    {
        return $this->figures->unit();
    }

    /** A to Z, then AA. */
    private static function letter(int $n): string
    {
        return ($n >= 26 ? self::letter(intdiv($n, 26) - 1) : '').chr(65 + $n % 26);
    }

    public function paper(string $id): string
    {
        $entry = $this->planned->papers[$id] ?? Entry::query()->find($id);
        $name = $entry?->entry['name'] ?? null;

        return is_string($name) ? $name : $this->words->sentence('plan.gone');
    }

    /** In the first design's system; in the other where it is exact only there. */
    public function text(Length $length): string
    {
        $isOther = ! $this->figures->isExact($length) && $this->others->isExact($length);

        return ($isOther ? $this->others : $this->figures)->rounded($length);
    }
}
