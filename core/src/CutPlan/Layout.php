<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** Sheets with what is laid on them, of one paper. */
final readonly class Layout
{
    /** Square ticks. */
    private const SQUARE = 1_000_000;

    /**
     * @param list<Usable> $benches what there is, offcuts first
     * @param list<array{Usable, Laid}> $sheets
     * @param list<int> $left how many of each size lie on none
     * @param bool $isProven whether it was found by a way that leaves none with fewer sheets out
     */
    public function __construct(public Sizes $sizes, public array $benches, public array $sheets, public array $left, public int $looked = 0, public bool $isProven = false)
    {
    }

    /**
     * @param list<array{Usable, Laid}> $sheets
     * @param ?list<int> $left
     */
    public function with(array $sheets, ?array $left = null, ?bool $isProven = null): self
    {
        return new self($this->sizes, $this->benches, $sheets, $left ?? $this->left, $this->looked, $isProven ?? $this->isProven);
    }

    /** Without one sheet; what was the least stays it, or else fewer had done for all. */
    public function without(Laid $sheet): self
    {
        return $this->with(array_values(array_filter($this->sheets, fn (array $one) => $one[1] !== $sheet)));
    }

    /**
     * @param list<Usable> $benches
     * @param list<int> $counts
     */
    public static function filled(Sizes $sizes, array $benches, array $counts, int $seed, int $tries): self
    {
        $there = array_map(fn (Usable $bench) => $bench->stock->count, $benches);
        [$sheets, $looked] = [[], 0];
        while (array_sum($counts) > 0) {
            [$next, $most, $at] = [null, -1.0, 0];
            foreach ($benches as $i => $bench) {
                if ($there[$i] < 1) {
                    continue;
                }
                $laid = self::fullest($sizes, $bench, $counts, $seed + count($sheets), $tries, $looked);
                if ($laid === null) {
                    continue;
                }
                $filled = self::filledOf($laid);
                $holdsAll = count(array_filter($laid->leaves(), fn (Laid $leaf) => $leaf->size !== null)) === array_sum($counts);
                // Of offcuts the smallest that gives anything; of sheets the smallest that gives all that is left, else the one that is used best.
                $worth = $bench->stock->isOffcut || ($holdsAll && ! $bench->stock->isRoll) ? 2.0 : $filled / $bench->taken($laid);
                if ($worth > $most + 1e-9) {
                    [$next, $most, $at] = [$laid, $worth, $i];
                }
                if ($worth >= 2.0) {
                    break;
                }
            }
            if ($next === null) {
                break;
            }
            $there[$at]--;
            $sheets[] = [$benches[$at], $next];
            foreach ($next->leaves() as $leaf) {
                $leaf->size === null || $counts[$leaf->size]--;
            }
            $counts = array_values($counts);
        }

        return new self($sizes, $benches, $sheets, $counts, $looked);
    }

    /** @param list<int> $counts */
    private static function fullest(Sizes $sizes, Usable $bench, array $counts, int $seed, int $tries, int &$looked): ?Laid
    {
        if ($bench->stock->isRoll) {
            return Rolling::of($sizes, $bench, $counts, $seed * 7919, $tries, $looked);
        }
        $some = array_keys(array_filter($counts));
        $only = count($some) === 1 && $bench->isFree() ? $some[0] : null;
        if ($only !== null && $bench->may[$only]) {
            $laid = OneSize::most($bench->width, $bench->height, $sizes->widths[$only], $sizes->heights[$only], $sizes->mayTurn[$only]);
            $leaves = array_filter($laid?->leaves() ?? [], fn (Laid $leaf) => $leaf->size !== null);
            if ($laid !== null && count($leaves) <= $counts[$only]) {
                array_walk($leaves, fn (Laid $leaf) => $leaf->size = $only);

                return $laid;
            }
            $few = self::tried($sizes, $bench, $counts, $seed, $tries, $looked);
            if ($few !== null && count(array_filter($few->leaves(), fn (Laid $leaf) => $leaf->size !== null)) === $counts[$only]) {
                return $few;
            }
            // As many as are still wanted, on a sheet that would give more.
            foreach (array_values($leaves) as $n => $leaf) {
                $leaf->size = $n < $counts[$only] ? $only : null;
            }

            return $laid;
        }

        return self::tried($sizes, $bench, $counts, $seed, $tries, $looked);
    }

    /** @param list<int> $counts */
    private static function tried(Sizes $sizes, Usable $bench, array $counts, int $seed, int $tries, int &$looked): ?Laid
    {
        $filling = new Filling($sizes, $bench->longest, $bench->measures, $seed * 7919, $bench->trimsFirst);
        $laid = $filling->best($bench->width, $bench->height, $counts, $bench->may, $tries);
        $looked += $filling->looked;

        return $laid;
    }

    /** @return list<int> how many of each size lie on its sheets */
    public function laid(): array
    {
        $laid = array_map(fn (): int => 0, $this->sizes->counts);
        foreach ($this->sheets as [, $sheet]) {
            foreach ($sheet->leaves() as $leaf) {
                $leaf->size === null || $laid[$leaf->size] = ($laid[$leaf->size] ?? 0) + 1;
            }
        }

        return array_values($laid);
    }

    /** Full sheets it takes, as an area in a million square ticks, so that thousands of sheets stay within an integer; offcuts cost nothing. */
    public function cost(): int
    {
        return array_sum(array_map(fn (array $sheet) => $sheet[0]->stock->isOffcut ? 0 : intdiv($sheet[0]->taken($sheet[1]), self::SQUARE), $this->sheets));
    }

    /** The largest part that is left of any sheet. */
    public function largestLeft(): int
    {
        $most = 0;
        foreach ($this->sheets as [$bench, $laid]) {
            foreach ($bench->stock->isRoll ? [] : $laid->leaves() as $leaf) {
                $leaf->size === null && $most = max($most, $leaf->area());
            }
        }

        return $most;
    }

    public function isBetterThan(self $other): bool
    {
        return [...$this->need(), -$this->largestLeft()] < [...$other->need(), -$other->largestLeft()];
    }

    /** @return array{int, int, int} what is not on it, the area of full sheets and their number: the less, the better */
    public function need(): array
    {
        return [array_sum($this->left), $this->cost(), count($this->sheets)];
    }

    /** Whether no plan can take less: nothing is left, and one sheet fewer has not the area. */
    public function isLeast(): bool
    {
        $sheets = array_filter($this->sheets, fn (array $sheet) => ! $sheet[0]->stock->isOffcut);
        if (array_sum($this->left) > 0 || array_filter($sheets, fn (array $sheet) => $sheet[0]->stock->isRoll) !== []) {
            return false;
        }
        if ($sheets === []) {
            return true;
        }
        $laid = array_sum(array_map(fn (array $sheet) => intdiv(self::filledOf($sheet[1]), self::SQUARE), $sheets));

        // What was rounded off each sheet must not make a proof.
        return $laid > $this->cost() - min(array_map(fn (array $sheet) => intdiv($sheet[0]->area(), self::SQUARE), $sheets)) + count($sheets);
    }

    public static function filledOf(Laid $laid): int
    {
        return array_sum(array_map(fn (Laid $leaf) => $leaf->size === null ? 0 : $leaf->area(), $laid->leaves()));
    }
}
