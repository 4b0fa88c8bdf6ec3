<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * Plans the cutting of a job, paper by paper: as few sheets as can be, offcuts first, the same job always the same plan.
 *
 * One size alone is exact (OneSize). Else sheets are filled one after another (Filling), the whole job several times; then the emptiest
 * sheet and some others are planned anew together, exactly where they hold few pieces (Few), as long as that saves one.
 */
final readonly class Planner
{
    /** Sizes looked at: what makes a plan of a hundred pieces a matter of tenths of a second. */
    private const LOOKS = 350_000;

    private const LOOKS_A_PIECE = 3_500;

    private const LEAST_LOOKS = 2_000;

    private const MOST_LOOKS = 2_000_000;

    private const MOST_TRIES = 120;

    /** More than these are planned once. */
    private const ONCE = 1500;

    /** Looked at in one slice of a longer search: some two tenths of a second, so that nobody else waits long. */
    private const SLICE = 150_000;

    private function __construct(private float $effort = 1.0)
    {
    }

    public static function plan(Job $job, float $effort = 1.0): CutPlan
    {
        return self::found($job, $effort)->plan();
    }

    public static function found(Job $job, float $effort = 1.0): Found
    {
        return new Found($job, array_map((new self($effort))->paper(...), OfPaper::all($job)));
    }

    /**
     * Looks on for a better one: by turns what there is is made better, and another one is begun. The same slice of the same, the same.
     *
     * @param int $slice number of this slice of the search, from 1
     * @return Found at least as good
     */
    public static function further(Found $found, int $slice): Found
    {
        $layouts = $found->layouts;
        $open = array_keys(array_filter($layouts, fn (Layout $layout) => ! $layout->isProven && ! $layout->isLeast() && count($layout->sizes->counts) > 0));
        foreach ($open as $i) {
            $best = $layouts[$i];
            $looks = self::SLICE / count($open);
            $from = $best;
            if ($slice % 3 === 2) {
                $wanted = array_map(fn (int $left, int $laid): int => $left + $laid, $best->left, $best->laid());
                $from = Layout::filled($best->sizes, $best->benches, $wanted, 1000 * $slice, self::tries($best->sizes, $looks, 3));
                $looks = max(self::LEAST_LOOKS, $looks - $from->looked);
            }
            $next = Improving::of($from, $looks, 20261127 + 7919 * $slice);
            // What is as good goes on, too: it may be emptier on its emptiest sheet.
            $layouts[$i] = $next->need() <= $best->need() ? $next : $best;
        }

        return new Found($found->job, array_values($layouts));
    }

    private function paper(OfPaper $of): Layout
    {
        [$sizes, $benches, $left] = [$of->sizes, $of->benches, $of->counts];
        $looks = min(self::MOST_LOOKS, max(self::LOOKS, self::LOOKS_A_PIECE * $sizes->total())) * $this->effort;
        $best = $this->exactly(Layout::filled($sizes, $benches, $left, 1, self::tries($sizes, $looks, 4)));
        // One size alone is exact as it is; where nothing may come out of it, nothing is looked for.
        $isOne = count(array_filter($left)) < 2;
        if ($best->isProven || $isOne) {
            $isFree = array_filter($benches, fn (Usable $bench) => ! $bench->isFree()) === [];

            return $best->with($best->sheets, isProven: $best->isProven || ($isFree && count(array_filter($benches, fn (Usable $bench) => ! $bench->stock->isOffcut)) < 2));
        }
        for ($round = 2, $looked = $best->looked; $looked < $looks && $sizes->total() <= self::ONCE && ! $best->isLeast(); $round++) {
            $layout = Layout::filled($sizes, $benches, $left, $round, self::tries($sizes, $looks - $looked, 3));
            $looked += max(self::LEAST_LOOKS, $layout->looked);
            $layout->isBetterThan($best) && $best = $layout;
        }

        return Improving::of($best, $looks * 0.8);
    }

    /** A few pieces on sheets of one size, planned exactly: then it is proven. */
    private function exactly(Layout $layout): Layout
    {
        $bench = $layout->sheets[0][0] ?? null;
        if ($bench === null || $layout->sizes->total() > Few::MOST || array_sum($layout->left) > 0 || count($layout->benches) > 1 || ! $bench->isFree()) {
            return $layout;
        }
        $work = 0;
        while (! $layout->isLeast()) {
            $found = Few::on($layout->sizes, $layout->sizes->counts, $bench->width, $bench->height, count($layout->sheets) - 1, $work);
            if ($found === null) {
                return $layout->with($layout->sheets, isProven: $work <= Few::MOST_WORK);
            }
            $layout = $layout->with(array_map(fn (Laid $laid) => [$bench, $laid], $found));
        }

        return $layout->with($layout->sheets, isProven: true);
    }

    /** So many tries a sheet that several rounds are within the bounds. */
    private static function tries(Sizes $sizes, float $looks, int $rounds): int
    {
        $once = max(1, $sizes->total() * count($sizes->counts));

        return max(1, min(self::MOST_TRIES, (int) ($looks / $once / $rounds)));
    }
}
