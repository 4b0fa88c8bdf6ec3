<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** Makes a layout better: some of its sheets are planned anew together, and stay so where that takes fewer or empties one of them further. */
final class Improving
{
    /** Sheets planned anew at once. */
    private const TOGETHER = 4;

    private const TRIES = 24;

    /** @var array<string, true> groups of pieces that were planned exactly */
    private array $tried = [];

    private function __construct(private int $seed)
    {
    }

    /** @param int $seed another one looks at other sheets */
    public static function of(Layout $layout, float $looks, int $seed = 20261127): Layout
    {
        return (new self($seed))->better($layout, $looks);
    }

    private function better(Layout $layout, float $looks): Layout
    {
        for ($looked = 0.0, $shares = []; $looked < $looks && ! $layout->isLeast(); $looked += max(2000, 20 * count($layout->sheets))) {
            $full = array_keys(array_filter($layout->sheets, fn (array $sheet) => ! $sheet[0]->stock->isOffcut && ! $sheet[0]->stock->isRoll));
            if (count($full) < 2) {
                break;
            }
            $shares = $shares ?: array_map(fn (array $sheet): float => Layout::filledOf($sheet[1]) / $sheet[0]->area(), $layout->sheets);
            usort($full, fn (int $a, int $b) => $shares[$a] <=> $shares[$b]);
            $chosen = [array_shift($full)];
            while (count($chosen) < self::TOGETHER && $full !== []) {
                // The emptier ones more often.
                $r = $this->random();
                $chosen[] = array_splice($full, (int) ($r * $r * count($full)), 1)[0];
            }
            $next = $this->anew($layout, $chosen, $looked);
            [$layout, $shares] = $next === null ? [$layout, $shares] : [$next, []];
        }

        return $layout;
    }

    /**
     * @param list<int> $chosen sheets
     * @return ?Layout null where it is no better
     */
    private function anew(Layout $layout, array $chosen, float &$looked): ?Layout
    {
        $old = array_map(fn (int $i) => $layout->sheets[$i], $chosen);
        $counts = (new Layout($layout->sizes, [], $old, []))->laid();
        $benches = [];
        foreach ($old as [$bench]) {
            $benches[$bench->stock->id] = $bench;
        }
        $bench = $old[0][0];
        if (count($benches) === 1 && array_sum($counts) <= Few::MOST && $bench->isFree() && array_sum($layout->left) === 0) {
            $key = implode(',', $counts);
            $work = 0;
            $found = isset($this->tried[$key]) ? null : Few::on($layout->sizes, $counts, $bench->width, $bench->height, count($old) - 1, $work);
            $this->tried[$key] = true;
            $looked += 100 + $work / 2;
            if ($found !== null) {
                return $this->with($layout, $chosen, array_map(fn (Laid $laid) => [$bench, $laid], $found));
            }
        }
        $next = Layout::filled($layout->sizes, array_values($benches), $counts, 1 + (int) (1e6 * $this->random()), self::TRIES);
        $looked += $next->looked;
        if (array_sum($next->left) > 0 || count($next->sheets) > count($old) || ! self::isThere($layout, $old, $next->sheets)) {
            return null;
        }
        $isBetter = count($next->sheets) < count($old) || self::squares($next->sheets) > self::squares($old) + 1e-9;

        return $isBetter ? $this->with($layout, $chosen, $next->sheets) : null;
    }

    /**
     * @param list<int> $without
     * @param list<array{Usable, Laid}> $more
     */
    private function with(Layout $layout, array $without, array $more): Layout
    {
        return $layout->with([...array_values(array_diff_key($layout->sheets, array_flip($without))), ...$more]);
    }

    /**
     * Whether there is enough of each stock for other sheets, and they cost no more.
     *
     * @param list<array{Usable, Laid}> $old
     * @param list<array{Usable, Laid}> $new
     */
    private static function isThere(Layout $layout, array $old, array $new): bool
    {
        $used = [];
        foreach ([[$layout->sheets, 1], [$old, -1], [$new, 1]] as [$sheets, $sign]) {
            foreach ($sheets as [$bench]) {
                $used[$bench->stock->id] = ($used[$bench->stock->id] ?? 0) + $sign;
            }
        }
        foreach ($new as [$bench]) {
            if ($used[$bench->stock->id] > $bench->stock->count) {
                return false;
            }
        }

        return (new Layout($layout->sizes, [], $new, []))->cost() <= (new Layout($layout->sizes, [], $old, []))->cost();
    }

    /**
     * The more, the less even they are filled.
     *
     * @param list<array{Usable, Laid}> $sheets
     */
    private static function squares(array $sheets): float
    {
        return array_sum(array_map(fn (array $sheet): float => (Layout::filledOf($sheet[1]) / $sheet[0]->area()) ** 2, $sheets));
    }

    private function random(): float
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return $this->seed / 0x80000000;
    }
}
