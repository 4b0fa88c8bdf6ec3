<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Extra\Closure;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Request\ClosureKind;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\PutOp;
use Gimbo\Core\Steps\WorkStep;

/** What holds a top flap shut, put on at its place in the work: discs while the sheet is flat, before anything is glued; a dot at the end. */
final class Held
{
    /**
     * @param list<WorkStep> $steps
     * @param list<Piece> $pieces
     * @return list<WorkStep>
     */
    public static function with(array $steps, array $pieces): array
    {
        foreach ($pieces as $piece) {
            $closure = $piece->closure();
            if ($closure === null || $closure->onBody === null || $closure->face === null || $closure->kind === ClosureKind::Tuck) {
                continue;
            }
            $before = $closure->kind === ClosureKind::String ? Deed::Fold : Deed::Close;
            foreach ($steps as $i => $step) {
                if ($step->piece === $piece->id && $step->do === $before) {
                    array_splice($steps, $i, 0, [self::step($closure, $closure->onBody, $closure->face, $piece)]);
                    break;
                }
            }
        }

        return $steps;
    }

    private static function step(Closure $closure, Point $onBody, string $face, Piece $piece): WorkStep
    {
        $bench = new Bench($piece->id, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres());
        [$what, $advice] = $closure->kind === ClosureKind::String ? ['disc', ['holes-before-gluing']] : ['dot', ['dot-as-a-closed-pair']];
        $put = fn (Point $at, string $on): PutOp => new PutOp($what, $piece->id, $on, $bench->at($bench->in('left', $at->x), $bench->in('bottom', $at->y)), $closure->sizeMm);

        return new WorkStep("$piece->id/$what", Deed::Put, $piece->id, $piece->count, ops: [$put($closure->onFlap, Flap::TOP), $put($onBody, $face)], advice: $advice);
    }
}
