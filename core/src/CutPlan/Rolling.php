<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * Lays pieces on a roll: section after section is cut off across its whole width, each as long as one of the pieces is, or two of them one
 * behind the other; of these the one that is filled best. Derived here.
 */
final class Rolling
{
    /** Lengths of a section that are tried. */
    private const MOST_LENGTHS = 40;

    private const LEAST_LENGTHS = 2;

    private int $looked = 0;

    private function __construct(private readonly Sizes $sizes, private readonly Usable $bench, private readonly int $seed)
    {
    }

    /**
     * @param list<int> $counts of each size
     * @param int $looked raised by how many sizes were looked at
     * @return ?Laid null where nothing comes off it
     */
    public static function of(Sizes $sizes, Usable $bench, array $counts, int $seed, int $tries, int &$looked): ?Laid
    {
        $rolling = new self($sizes, $bench, $seed);
        $laid = $rolling->laid($counts, $tries);
        $looked += $rolling->looked;

        return $laid;
    }

    /** @param list<int> $counts */
    private function laid(array $counts, int $tries): ?Laid
    {
        $rest = $root = new Laid($this->bench->width, $this->bench->height);
        while (($section = $this->section($counts, $rest->height, $tries)) !== null) {
            if ($section->height < $rest->height) {
                $rest->cut(false, $section->height);
                $rest->first?->become($section);
            } else {
                $rest->become($section);
            }
            foreach ($section->leaves() as $leaf) {
                $leaf->size === null || $counts[$leaf->size]--;
            }
            $counts = array_values($counts);
            if ($rest->second === null || $section->height >= $rest->height) {
                break;
            }
            $rest = $rest->second;
        }

        return $root->first === null && $root->size === null ? null : $root;
    }

    /**
     * The section that is filled best; of those alike the longest.
     *
     * @param list<int> $counts
     */
    private function section(array $counts, int $most, int $tries): ?Laid
    {
        [$best, $filled] = [null, 0.0];
        $lengths = $this->lengths($counts, $most, max(self::LEAST_LENGTHS, $tries));
        $each = max(1, intdiv($tries, max(1, count($lengths))));
        foreach ($lengths as $n => $length) {
            $filling = new Filling($this->sizes, $this->bench->longest, $this->bench->measures, $this->seed + $n, $this->bench->trimsFirst);
            $laid = $filling->best($this->bench->width, $length, $counts, $this->bench->may, $each);
            $this->looked += $filling->looked;
            $share = $laid === null ? 0.0 : Layout::filledOf($laid) / $laid->area();
            if ($laid !== null && ($share > $filled + 1e-9 || ($share > $filled - 1e-9 && $laid->height > ($best->height ?? 0)))) {
                [$best, $filled] = [$laid, $share];
            }
        }

        return $best;
    }

    /**
     * @param list<int> $counts
     * @param int $bound at most so many
     * @return list<int>
     */
    private function lengths(array $counts, int $most, int $bound): array
    {
        $sides = [];
        foreach ($counts as $s => $count) {
            if ($count > 0) {
                $sides[$this->sizes->heights[$s]] = true;
                $this->sizes->mayTurn[$s] && $sides[$this->sizes->widths[$s]] = true;
            }
        }
        $sides = array_keys($sides);
        $lengths = array_fill_keys($sides, true);
        foreach ($sides as $i => $one) {
            foreach (array_slice($sides, $i) as $other) {
                count($lengths) < self::MOST_LENGTHS && $lengths[$one + $other] = true;
            }
        }
        $far = $this->bench->measures ?? $most;
        $lengths = array_values(array_filter(array_keys($lengths), fn (int $length) => $length <= $most && $length <= $far));
        // The longest first: what is long is harder to lay later. Of many an even choice.
        rsort($lengths);
        $every = max(1, count($lengths) / $bound);

        return array_map(fn (int $n): int => $lengths[(int) ($n * $every)], $lengths === [] ? [] : range(0, max(0, (int) (count($lengths) / $every) - 1)));
    }
}
