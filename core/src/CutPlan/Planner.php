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

    public function __construct(private Job $job, private float $effort = 1.0)
    {
    }

    public static function plan(Job $job, float $effort = 1.0): CutPlan
    {
        return (new self($job, $effort))->planned();
    }

    private function planned(): CutPlan
    {
        $papers = array_values(array_unique(array_map(fn (Wanted $piece) => $piece->paper, $this->job->pieces)));
        [$sheets, $missing] = [[], []];
        foreach ($papers as $paper) {
            $wanted = array_values(array_filter($this->job->pieces, fn (Wanted $piece) => $piece->paper === $paper && $piece->count > 0));
            $stock = array_values(array_filter($this->job->stock, fn (Stock $one) => $one->paper === $paper && $one->count > 0));
            [$of, $not] = $this->paper(new Sizes($wanted, $this->job->trimmer->kerf->ticks), $stock);
            [$sheets, $missing] = [[...$sheets, ...$of], [...$missing, ...$not]];
        }

        return new CutPlan($this->job, $sheets, $missing);
    }

    /**
     * @param list<Stock> $stock
     * @return array{list<SheetCut>, list<Missing>}
     */
    private function paper(Sizes $sizes, array $stock): array
    {
        $benches = array_values(array_filter(array_map(fn (Stock $one): ?Bench => Bench::of($one, $this->job, $sizes), $stock)));
        usort($benches, fn (Bench $a, Bench $b) => [! $a->stock->isOffcut, $a->area()] <=> [! $b->stock->isOffcut, $b->area()]);
        $left = $sizes->counts;
        foreach ($left as $s => $count) {
            array_filter($benches, fn (Bench $bench) => $bench->may[$s]) === [] && $left[$s] = 0;
        }
        $looks = min(self::MOST_LOOKS, max(self::LOOKS, self::LOOKS_A_PIECE * $sizes->total())) * $this->effort;
        $best = Layout::filled($sizes, $benches, $left, 1, $this->tries($sizes, $looks, 4));
        [$best, $isExact] = $this->exactly($best);
        // One size alone is exact as it is; where nothing may come out of it, nothing is looked for.
        if ($isExact || count(array_filter($left)) < 2) {
            return $this->cut($best, $sizes);
        }
        for ($round = 2, $looked = $best->looked; $looked < $looks && $sizes->total() <= self::ONCE && ! $best->isLeast(); $round++) {
            $layout = Layout::filled($sizes, $benches, $left, $round, $this->tries($sizes, $looks - $looked, 3));
            $looked += max(self::LEAST_LOOKS, $layout->looked);
            $layout->isBetterThan($best) && $best = $layout;
        }
        $best = Improving::of($best, $looks * 0.8);

        return $this->cut($best, $sizes);
    }

    /**
     * A few pieces on sheets of one size, planned exactly.
     *
     * @return array{Layout, bool} the better layout, and whether no other can take fewer sheets
     */
    private function exactly(Layout $layout): array
    {
        $bench = $layout->sheets[0][0] ?? null;
        if ($bench === null || $layout->sizes->total() > Few::MOST || array_sum($layout->left) > 0 || count($layout->benches) > 1 || ! $bench->isFree()) {
            return [$layout, false];
        }
        $work = 0;
        while (! $layout->isLeast()) {
            $found = Few::on($layout->sizes, $layout->sizes->counts, $bench->width, $bench->height, count($layout->sheets) - 1, $work);
            if ($found === null) {
                return [$layout, $work <= Few::MOST_WORK];
            }
            $layout = new Layout($layout->sizes, $layout->benches, array_map(fn (Laid $laid) => [$bench, $laid], $found), $layout->left, $layout->looked);
        }

        return [$layout, true];
    }

    /** So many tries a sheet that several rounds are within the bounds. */
    private function tries(Sizes $sizes, float $looks, int $rounds): int
    {
        $once = max(1, $sizes->total() * count($sizes->counts));

        return max(1, min(self::MOST_TRIES, (int) ($looks / $once / $rounds)));
    }

    /** @return array{list<SheetCut>, list<Missing>} */
    private function cut(Layout $layout, Sizes $sizes): array
    {
        $names = array_map(fn (array $pieces): \Generator => self::named($pieces), $sizes->pieces);
        $next = function (int $size) use ($names): string {
            $id = (string) $names[$size]->current();
            $names[$size]->next();

            return $id;
        };
        $alike = [];
        foreach ($layout->sheets as [$bench, $laid]) {
            $tree = Hand::tree($laid, $bench->stock, $this->job, $next);
            $key = $bench->stock->id.' '.self::key($tree);
            $alike[$key] = new SheetCut($bench->stock, 1 + ($alike[$key]->times ?? 0), $tree);
        }
        [$missing, $laid] = [[], $layout->laid()];
        foreach ($sizes->counts as $s => $count) {
            $isLarge = array_filter($layout->benches, fn (Bench $bench) => $bench->may[$s]) === [];
            $hasStock = array_filter($this->job->stock, fn (Stock $one) => $one->paper === $this->job->wanted($sizes->pieces[$s][0][0])?->paper && $one->count > 0) !== [];
            $not = [];
            for ($n = $laid[$s]; $n < $count; $n++) {
                $id = $next($s);
                $not[$id] = 1 + ($not[$id] ?? 0);
            }
            foreach ($not as $id => $many) {
                $missing[] = new Missing((string) $id, $many, $isLarge && $hasStock ? Missing::TOO_LARGE : Missing::NO_STOCK);
            }
        }

        return [array_values($alike), $missing];
    }

    /**
     * @param list<array{string, int}> $pieces
     * @return \Generator<int, string>
     */
    private static function named(array $pieces): \Generator
    {
        foreach ($pieces as [$id, $count]) {
            for ($n = 0; $n < $count; $n++) {
                yield $id;
            }
        }
    }

    private static function key(Part $part): string
    {
        return $part->first === null || $part->second === null
            ? ($part->piece ?? '-')."{$part->width->ticks}×{$part->height->ticks}"
            : '('.($part->isUpright ? '|' : '_').$part->at?->ticks.self::key($part->first).self::key($part->second).')';
    }
}
