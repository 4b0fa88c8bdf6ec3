<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** How a job is laid on its sheets, paper by paper: a plan is written from it, and it is kept, gone on from and made better. */
final readonly class Found
{
    /** @param list<Layout> $layouts one for each paper, as OfPaper::all gives them */
    public function __construct(public Job $job, public array $layouts)
    {
    }

    /** Whether no plan can take fewer sheets. */
    public function isLeast(): bool
    {
        return array_filter($this->layouts, fn (Layout $layout) => ! $layout->isProven && ! $layout->isLeast()) === [];
    }

    /** Without one of the sheets that are cut so. */
    public function without(SheetCut $sheet): self
    {
        return new self($this->job, array_map(fn (Layout $layout): Layout => $layout->without($sheet->laid), $this->layouts));
    }

    /** @return list<array{paper: string, proven: bool, sheets: list<array{string, mixed}>}> to be kept; see read() */
    public function written(): array
    {
        $written = [];
        foreach (OfPaper::all($this->job) as $i => $of) {
            $layout = $this->layouts[$i];
            $written[] = ['paper' => $of->paper, 'proven' => $layout->isProven, 'sheets' => array_map(fn (array $sheet): array => [$sheet[0]->stock->id, self::laidOut($sheet[1], $layout->sizes)], $layout->sheets)];
        }

        return $written;
    }

    /** What was kept of a job, for this one; null where it does not lie on what there is, or holds more than is wanted. */
    public static function read(Job $job, mixed $written): ?self
    {
        $kept = [];
        foreach (is_array($written) ? $written : [] as $one) {
            is_array($one) && is_string($one['paper'] ?? null) && $kept[$one['paper']] = $one;
        }
        $layouts = [];
        foreach (OfPaper::all($job) as $of) {
            $one = $kept[$of->paper] ?? null;
            $benches = array_column(array_map(fn (Usable $bench): array => [$bench->stock->id, $bench], $of->benches), 1, 0);
            $sheets = [];
            foreach (is_array($one) && is_array($one['sheets'] ?? null) ? $one['sheets'] : [] as $sheet) {
                $bench = is_array($sheet) && is_string($sheet[0] ?? null) ? $benches[$sheet[0]] ?? null : null;
                $laid = $bench === null ? null : self::laidAgain(new Laid($bench->width, $bench->height), $sheet[1] ?? null, $of->sizes);
                if ($bench === null || $laid === null) {
                    return null;
                }
                $sheets[] = [$bench, $laid];
            }
            $layout = new Layout($of->sizes, $of->benches, $sheets, [], 0, is_array($one) && ($one['proven'] ?? false) === true);
            $left = array_map(fn (int $wanted, int $laid): int => $wanted - $laid, $of->counts, $layout->laid());
            $used = array_count_values(array_map(fn (array $sheet): string => $sheet[0]->stock->id, $sheets));
            if (array_filter($left, fn (int $count) => $count < 0) !== [] || array_filter($used, fn (int $count, string $id) => $count > $benches[$id]->stock->count, ARRAY_FILTER_USE_BOTH) !== []) {
                return null;
            }
            $layouts[] = $layout->with($sheets, $left);
        }

        return new self($job, $layouts);
    }

    /** The plan that is cut from it: sheets alike once, pieces named. */
    public function plan(): CutPlan
    {
        [$sheets, $missing, $runs] = [[], [], []];
        foreach (OfPaper::all($this->job) as $i => $of) {
            [$cut, $not] = $this->cut($this->layouts[$i], $of);
            [$sheets, $missing] = [[...$sheets, ...$cut], [...$missing, ...$not]];
            foreach ($of->sizes->runs as $s => $run) {
                $run === null || $runs[$run->id] = $this->layouts[$i]->laid()[$s];
            }
        }

        return new CutPlan($this->job, $sheets, self::once($missing), array_map(fn (Run $run): int => $runs[$run->id] ?? 0, $this->job->runs));
    }

    /**
     * Each piece once, also where it is missing alone and in a run.
     *
     * @param list<Missing> $missing
     * @return list<Missing>
     */
    private static function once(array $missing): array
    {
        $once = [];
        foreach ($missing as $one) {
            $same = $once[$one->piece] ?? null;
            $once[$one->piece] = $same === null ? $one : new Missing($one->piece, $same->count + $one->count, $same->why === $one->why ? $one->why : Missing::NO_STOCK);
        }

        return array_values($once);
    }

    /** @return array{list<SheetCut>, list<Missing>} */
    private function cut(Layout $layout, OfPaper $of): array
    {
        $names = array_map(fn (array $pieces): \Generator => self::named($pieces), $of->sizes->pieces);
        $next = function (int $size) use ($names): string {
            $id = (string) $names[$size]->current();
            $names[$size]->next();

            return $id;
        };
        $alike = [];
        foreach ($layout->sheets as [$bench, $laid]) {
            $tree = Hand::tree($this->parted(Rows::arranged($laid, $of->sizes, $bench), $of->sizes), $bench->stock, $this->job, $next);
            $key = $bench->stock->id.' '.self::key($tree);
            $alike[$key] = new SheetCut($bench->stock, 1 + ($alike[$key]->times ?? 0), $tree, $laid);
        }
        [$missing, $laid] = [[], $layout->laid()];
        foreach ($of->sizes->counts as $s => $count) {
            $isLarge = $of->hasStock && array_filter($of->benches, fn (Usable $bench) => $bench->may[$s]) === [];
            $not = [];
            for ($n = $laid[$s]; $n < $count; $n++) {
                foreach ($of->sizes->runs[$s] === null ? [$next($s)] : array_map(fn (Wanted $piece) => $piece->id, $of->sizes->runs[$s]->pieces) as $id) {
                    $not[$id] = 1 + ($not[$id] ?? 0);
                }
            }
            foreach ($not as $id => $many) {
                $missing[] = new Missing((string) $id, $many, $isLarge ? Missing::TOO_LARGE : Missing::NO_STOCK);
            }
        }

        return [array_values($alike), $missing];
    }

    /** With what was laid as one parted into its pieces. */
    private function parted(Laid $laid, Sizes $sizes): Laid
    {
        $copy = new Laid($laid->width, $laid->height);
        $copy->become($laid);
        if ($laid->first !== null && $laid->second !== null) {
            [$copy->first, $copy->second] = [$this->parted($laid->first, $sizes), $this->parted($laid->second, $sizes)];
        } elseif ($laid->size !== null) {
            $sizes->runs[$laid->size]?->part($copy, $sizes->kerf, $this->job->trimmer->step->ticks);
        }

        return $copy;
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

    /** @return array{bool, int, mixed, mixed}|string|null a cut with both its parts, the key of a piece's size, or nothing */
    private static function laidOut(Laid $laid, Sizes $sizes): array|string|null
    {
        if ($laid->first !== null && $laid->second !== null) {
            return [$laid->isUpright, $laid->at, self::laidOut($laid->first, $sizes), self::laidOut($laid->second, $sizes)];
        }

        return $laid->size === null ? null : $sizes->keys[$laid->size];
    }

    private static function laidAgain(Laid $laid, mixed $written, Sizes $sizes): ?Laid
    {
        if ($written === null) {
            return $laid;
        }
        if (is_string($written)) {
            $size = array_search($written, $sizes->keys, true);
            $isIt = is_int($size) && in_array([$laid->width, $laid->height], [[$sizes->widths[$size], $sizes->heights[$size]], $sizes->mayTurn[$size] ? [$sizes->heights[$size], $sizes->widths[$size]] : null], true);
            $laid->size = $isIt ? $size : null;

            return $isIt ? $laid : null;
        }
        if (! is_array($written) || ! array_is_list($written) || count($written) !== 4 || ! is_bool($written[0]) || ! is_int($written[1])) {
            return null;
        }
        [$isUpright, $at, $first, $second] = $written;
        if ($at <= 0 || $at >= ($isUpright ? $laid->width : $laid->height)) {
            return null;
        }
        $laid->cut($isUpright, $at);

        return $laid->first !== null && $laid->second !== null && self::laidAgain($laid->first, $first, $sizes) !== null && self::laidAgain($laid->second, $second, $sizes) !== null ? $laid : null;
    }
}
