<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** What a job wants of one paper, and what there is of it. */
final readonly class OfPaper
{
    /**
     * @param list<Bench> $benches offcuts first, the smallest first
     * @param list<int> $counts of each size as many as may come out of some of it; none of what is too large
     */
    private function __construct(public string $paper, public Sizes $sizes, public array $benches, public array $counts, public bool $hasStock)
    {
    }

    /** @return list<self> in the order in which they are wanted */
    public static function all(Job $job): array
    {
        $papers = array_values(array_unique(array_map(fn (Wanted $piece) => $piece->paper, $job->pieces)));

        return array_map(fn (string $paper): self => self::of($job, $paper), $papers);
    }

    private static function of(Job $job, string $paper): self
    {
        $stock = array_filter($job->stock, fn (Stock $one) => $one->paper === $paper && $one->count > 0);
        $sizes = new Sizes(array_values(array_filter($job->pieces, fn (Wanted $piece) => $piece->paper === $paper && $piece->count > 0)), $job->trimmer->kerf->ticks);
        $benches = array_values(array_filter(array_map(fn (Stock $one): ?Bench => Bench::of($one, $job, $sizes), $stock)));
        usort($benches, fn (Bench $a, Bench $b) => [! $a->stock->isOffcut, $a->area()] <=> [! $b->stock->isOffcut, $b->area()]);
        $counts = [];
        foreach ($sizes->counts as $s => $count) {
            $counts[] = array_filter($benches, fn (Bench $bench) => $bench->may[$s]) === [] ? 0 : $count;
        }

        return new self($paper, $sizes, $benches, $counts, $stock !== []);
    }
}
