<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * A few pieces on as few sheets of one size as can be: every way of laying two groups beside or above one another, larger groups from
 * smaller ones, and then the fewest groups that each come out of a sheet. Exact as long as its work is bounded by nothing but the waste
 * that fewer sheets would leave; beyond a bound of work it gives up.
 */
final class Few
{
    public const MOST = 12;

    public const MOST_WORK = 800_000;

    private const MOST_BOXES = 40;

    /** @var list<int> */
    private array $widths = [];

    /** @var list<int> */
    private array $heights = [];

    /** @var list<int> the size each piece has */
    private array $of = [];

    /** @var array<int, array<string, array{int, int, ?array{bool, int, string, int, string}}>> boxes by group: width, height and how it is made; null for one piece */
    private array $boxes = [];

    private int $work = 0;

    /** Whether every way was looked at. */
    private bool $isWhole = true;

    /** @param list<int> $counts */
    private function __construct(private readonly Sizes $sizes, array $counts, private readonly int $width, private readonly int $height)
    {
        foreach ($counts as $s => $count) {
            for ($n = 0; $n < $count; $n++) {
                [$this->widths[], $this->heights[], $this->of[]] = [$sizes->widths[$s], $sizes->heights[$s], $s];
            }
        }
    }

    /**
     * @param list<int> $counts of each size, MOST in all at the most
     * @param int $fewer how many sheets it may take at the most
     * @param int $work set to how many ways were looked at
     * @return ?list<Laid> null where it cannot be done, or was not found
     */
    public static function on(Sizes $sizes, array $counts, int $width, int $height, int $fewer, int &$work = 0): ?array
    {
        $few = new self($sizes, $counts, $width, $height);
        $spare = $fewer * $width * $height - array_sum(array_map(fn (int $w, int $h) => $w * $h, $few->widths, $few->heights));
        if ($spare < 0) {
            return null;
        }
        foreach (array_unique([0, intdiv($spare, 8), $spare]) as $waste) {
            $groups = $few->groups($waste);
            $work = $few->isWhole ? $few->work : self::MOST_WORK + 1;
            if ($groups !== null && count($groups) <= $fewer) {
                return array_map($few->laid(...), $groups);
            }
            if ($few->work > self::MOST_WORK) {
                return null;
            }
        }

        return null;
    }

    /**
     * @param int $waste how much of a group's box may be none of its pieces
     * @return ?list<int> the fewest groups; null where some piece is in none
     */
    private function groups(int $waste): ?array
    {
        $all = (1 << count($this->of)) - 1;
        $sheet = $this->width * $this->height;
        $areas = [0 => 0];
        $this->boxes = [];
        for ($group = 1; $group <= $all; $group++) {
            $low = $group & -$group;
            $i = (int) round(log($low, 2));
            $areas[$group] = $areas[$group ^ $low] + $this->widths[$i] * $this->heights[$i];
            if ($areas[$group] > $sheet) {
                continue;
            }
            if ($group === $low) {
                $this->single($group, $i);

                continue;
            }
            $this->combined($group, $low, $areas[$group] + $waste);
            if ($this->work > self::MOST_WORK) {
                return null;
            }
        }

        return $this->fewest($all);
    }

    private function single(int $group, int $i): void
    {
        [$w, $h] = [$this->widths[$i], $this->heights[$i]];
        $w <= $this->width && $h <= $this->height && $this->boxes[$group]["$w $h"] = [$w, $h, null];
        $this->sizes->mayTurn[$this->of[$i]] && $h <= $this->width && $w <= $this->height && $this->boxes[$group]["$h $w"] = [$h, $w, null];
    }

    private function combined(int $group, int $low, int $most): void
    {
        $found = [];
        for ($one = ($group - 1) & $group; $one > 0; $one = ($one - 1) & $group) {
            $this->work++;
            if (($one & $low) === 0 || ! isset($this->boxes[$one], $this->boxes[$group ^ $one])) {
                continue;
            }
            foreach ($this->boxes[$one] as $a => [$aw, $ah]) {
                foreach ($this->boxes[$group ^ $one] as $b => [$bw, $bh]) {
                    $this->work++;
                    [$w, $h] = [$aw + $bw, $ah > $bh ? $ah : $bh];
                    $w <= $this->width && $w * $h <= $most && $found["$w $h"] ??= [$w, $h, [true, $one, $a, $group ^ $one, $b]];
                    [$w, $h] = [$aw > $bw ? $aw : $bw, $ah + $bh];
                    $h <= $this->height && $w * $h <= $most && $found["$w $h"] ??= [$w, $h, [false, $one, $a, $group ^ $one, $b]];
                }
            }
        }
        if (count($found) > self::MOST_BOXES) {
            uasort($found, fn (array $x, array $y) => $x[0] * $x[1] <=> $y[0] * $y[1]);
            $found = array_slice($found, 0, self::MOST_BOXES, true);
            $this->isWhole = false;
        }
        $found === [] || $this->boxes[$group] = $found;
    }

    /** @return ?list<int> */
    private function fewest(int $all): ?array
    {
        $need = [0 => 0];
        $last = [];
        for ($group = 1; $group <= $all; $group++) {
            $low = $group & -$group;
            for ($one = $group; $one > 0; $one = ($one - 1) & $group) {
                $this->work++;
                if (($one & $low) !== 0 && isset($this->boxes[$one], $need[$group ^ $one]) && (! isset($need[$group]) || $need[$group] > $need[$group ^ $one] + 1)) {
                    [$need[$group], $last[$group]] = [$need[$group ^ $one] + 1, $one];
                }
            }
        }
        if (! isset($need[$all])) {
            return null;
        }
        $groups = [];
        for ($group = $all; $group > 0; $group ^= $last[$group]) {
            $groups[] = $last[$group];
        }

        return $groups;
    }

    private function laid(int $group): Laid
    {
        $root = new Laid($this->width, $this->height);
        $this->cut($root, $group, (string) array_key_first($this->boxes[$group]));

        return $root;
    }

    private function cut(Laid $part, int $group, string $box): void
    {
        [$w, $h, $how] = $this->boxes[$group][$box];
        // What is left beside it first, so that the larger of the two stays whole.
        $isUprightFirst = ($part->width - $w) * $part->height >= ($part->height - $h) * $part->width;
        foreach ($isUprightFirst ? [true, false] : [false, true] as $isUpright) {
            if ($isUpright ? $w < $part->width : $h < $part->height) {
                $part->cut($isUpright, $isUpright ? $w : $h);
                $part = $part->first ?? $part;
            }
        }
        if ($how === null) {
            $part->size = $this->of[(int) round(log($group, 2))];

            return;
        }
        [$isUpright, $one, $a, $other, $b] = $how;
        $part->cut($isUpright, $this->boxes[$one][$a][$isUpright ? 0 : 1]);
        $part->first === null || $this->cut($part->first, $one, $a);
        $part->second === null || $this->cut($part->second, $other, $b);
    }
}
