<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\CutPlan\CutPlan;
use Gimbo\Core\CutPlan\Missing;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Run;
use Gimbo\Core\CutPlan\SheetCut;

/**
 * A cutting plan as data: docs/plan.md. Millimetres, to 0.000001.
 *
 * @phpstan-type Json array<string, mixed>
 */
final class CutPlanWriter
{
    /** @return Json */
    public static function write(CutPlan $plan): array
    {
        return [
            'sheets' => array_map(fn (SheetCut $sheet): array => ['stock' => $sheet->stock->id, 'times' => $sheet->times, 'tree' => self::tree($sheet->tree)], $plan->sheets),
            'missing' => array_map(fn (Missing $one): array => ['id' => $one->piece, 'count' => $one->count, 'why' => $one->why], $plan->missing),
            'used' => (object) $plan->used(),
            'offcuts' => array_map(fn (array $one): array => ['paper' => $one[0]] + self::size($one[1]) + ['count' => $one[2]], $plan->offcuts()),
            'waste' => round($plan->waste(), 3),
        ] + ($plan->job->runs === [] ? [] : ['runs' => array_map(fn (Run $run, int $count): array => ['id' => $run->id, 'count' => $count, 'extra' => round($count * $run->extra($plan->job->trimmer->kerf), 3)], $plan->job->runs, $plan->runs)]);
    }

    /** @return Json */
    public static function tree(Part $part): array
    {
        return self::size($part) + match (true) {
            $part->first !== null && $part->second !== null && $part->at !== null => [
                'cut' => ['n' => $part->number, 'axis' => $part->isUpright ? 'width' : 'height', 'at' => round($part->at->toMillimetres(), 6)],
                'parts' => [self::tree($part->first), self::tree($part->second)],
            ],
            $part->piece !== null => ['piece' => $part->piece, 'turned' => $part->isTurned],
            $part->isOffcut => ['offcut' => true],
            default => ['waste' => true],
        };
    }

    /** @return array{width: float, height: float} */
    private static function size(Part $part): array
    {
        return ['width' => round($part->width->toMillimetres(), 6), 'height' => round($part->height->toMillimetres(), 6)];
    }
}
