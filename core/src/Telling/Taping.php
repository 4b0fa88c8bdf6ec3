<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** Tape for the joins of one step, where it is said which widths there are: so many strips of one width, so long in all. */
final readonly class Taping
{
    /** @param ?Length $width null where the narrowest there is is wider than a join */
    private function __construct(public ?Length $width, public int $strips, public Length $length)
    {
    }

    /** @return list<self> one a width */
    public static function of(Design $design, WorkStep $step): array
    {
        $punches = $design->request->tools->punches;
        if ($step->with !== With::Tape || $punches->tapes === []) {
            return [];
        }
        $needs = [];
        foreach ($step->glued() as $op) {
            [$one, $other] = PartSize::smallest($design->glued($op)->area->points);
            $tape = $punches->tape(Length::nearestTo(min($one, $other) + 1e-4));
            $isLayer = $design->figures->outfit->piece($op->join->face->piece) !== null;
            // A layer gets a strip along each of its long sides where there is room for two.
            $strips = ($isLayer && $tape !== null && min($one, $other) >= 2 * $tape->toMillimetres() ? 2 : 1) * ($op->join->isWithinOnePiece() ? $step->copies : 1);
            $needs[$tape->ticks ?? 0][] = [$tape, $strips, Length::nearestTo(max($one, $other))->times($strips)];
        }

        return array_values(array_map(fn (array $of): self => new self($of[0][0], array_sum(array_column($of, 1)), Length::zero()->plus(...array_column($of, 2))), $needs));
    }

    /** @return list<self> what a whole design takes, by width */
    public static function inAll(Design $design): array
    {
        $all = [];
        foreach ($design->steps() as $step) {
            foreach (self::of($design, $step) as $need) {
                $before = $all[$need->width->ticks ?? 0] ?? null;
                $all[$need->width->ticks ?? 0] = new self($need->width, $need->strips + ($before->strips ?? 0), $need->length->plus($before->length ?? Length::zero()));
            }
        }

        return array_values(array_filter($all, fn (self $one) => $one->width !== null));
    }
}
