<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** What a job wants of one paper, and what there is of it. */
final readonly class OfPaper
{
    /**
     * @param list<Usable> $benches offcuts first, the smallest first
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
        $stock = array_values(array_filter($job->stock, fn (Stock $one) => $one->paper === $paper && $one->count > 0));
        $wanted = array_values(array_filter($job->pieces, fn (Wanted $piece) => $piece->paper === $paper));
        $runs = [];
        foreach ($job->runs as $run) {
            // Of what is cut already there may be fewer left; what comes out of nothing as one is cut piece by piece.
            $now = new Run($run->id, array_map(fn (Wanted $piece): Wanted => array_values(array_filter($wanted, fn (Wanted $one) => $one->id === $piece->id))[0] ?? $piece->times(0), $run->pieces), $run->along);
            if ($run->pieces[0]->paper === $paper && $now->times() > 0 && $now->isParted($job->trimmer) && self::benches($job, $stock, new Sizes([], $job->trimmer->kerf->ticks, [$now])) !== []) {
                $runs[] = $now;
                $wanted = array_map(fn (Wanted $piece): Wanted => $piece->times($piece->count - $now->times() * count(array_filter($now->pieces, fn (Wanted $one) => $one->id === $piece->id))), $wanted);
            }
        }
        $sizes = new Sizes(array_values(array_filter($wanted, fn (Wanted $piece) => $piece->count > 0)), $job->trimmer->kerf->ticks, $runs);
        $benches = self::benches($job, $stock, $sizes);
        usort($benches, fn (Usable $a, Usable $b) => [! $a->stock->isOffcut, $a->area()] <=> [! $b->stock->isOffcut, $b->area()]);
        $counts = [];
        foreach ($sizes->counts as $s => $count) {
            $counts[] = array_filter($benches, fn (Usable $bench) => $bench->may[$s]) === [] ? 0 : $count;
        }

        return new self($paper, $sizes, $benches, $counts, $stock !== []);
    }

    /**
     * @param list<Stock> $stock
     * @return list<Usable> from which something wanted comes out
     */
    private static function benches(Job $job, array $stock, Sizes $sizes): array
    {
        return array_values(array_filter(array_map(fn (Stock $one): ?Usable => Usable::of($one, $job, $sizes), $stock)));
    }
}
