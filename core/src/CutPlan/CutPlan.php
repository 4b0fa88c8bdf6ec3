<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** What comes out of a job: sheets with their cuts, what is missing, what is used and what is left. */
final readonly class CutPlan
{
    /**
     * @param list<SheetCut> $sheets
     * @param list<Missing> $missing
     * @param list<int> $runs how often each run of the job is laid as one
     */
    public function __construct(public Job $job, public array $sheets, public array $missing, public array $runs = [])
    {
    }

    /** @return array<string, int> how many sheets of each stock it takes, by id */
    public function used(): array
    {
        $used = array_fill_keys(array_map(fn (Stock $stock) => $stock->id, $this->job->stock), 0);
        foreach ($this->sheets as $sheet) {
            $used[$sheet->stock->id] += $sheet->times;
        }

        return $used;
    }

    /** @return list<array{string, Part, int}> paper, size and number of what is worth keeping, alike ones once */
    public function offcuts(): array
    {
        $offcuts = [];
        foreach ($this->sheets as $sheet) {
            foreach ($sheet->tree->leaves() as $leaf) {
                if ($leaf->isOffcut) {
                    $key = "{$sheet->stock->paper} {$leaf->width->ticks} {$leaf->height->ticks}";
                    $offcuts[$key] ??= [$sheet->stock->paper, $leaf, 0];
                    $offcuts[$key][2] += $sheet->times;
                }
            }
        }

        return array_values($offcuts);
    }

    /** What is neither a piece nor worth keeping, mm²; what the blade takes away is not counted. */
    public function waste(): float
    {
        $waste = 0.0;
        foreach ($this->sheets as $sheet) {
            foreach ($sheet->tree->leaves() as $leaf) {
                $waste += $leaf->piece === null && ! $leaf->isOffcut ? $sheet->times * $leaf->squareMillimetres() : 0.0;
            }
        }

        return $waste;
    }
}
