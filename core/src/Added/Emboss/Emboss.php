<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Emboss;

use Gimbo\Core\Added\AddedWork;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Added\Stage;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** A pattern pressed into a panel or a mat. */
final class Emboss implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'emboss';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->punches->plate->width ?? Length::inches(17, 4)),
            Row::length('height')->emptied()->usually(fn (Circumstances $in) => $in->punches->plate->height ?? Length::inches(11, 2)),
            Row::of('side', Kind::Side),
        ];
    }

    public function needsPlace(): bool
    {
        return true;
    }

    public function stage(): Stage
    {
        return Stage::Around;
    }

    /** A plate on each face; what strips lie on that are looked at for the seam. */
    public function fitOut(Addition $addition, Outfitting $on): void
    {
        foreach ($on->carriers($addition) as $carrier) {
            $covered = ['across' => [], 'upright' => []];
            foreach ($on->pieces() as $strip) {
                foreach ($strip->kind->runs === null ? [] : $strip->placings as $placing) {
                    if ($placing->piece === $carrier->piece && $placing->face === $carrier->face) {
                        $there = fn (Point $p): Point => $carrier->toOwn($placing->there($p));
                        [$left, $right, $low, $high] = Rings::bounds(array_map($there, $strip->outline->points));
                        $covered[$strip->kind->runs][] = $strip->kind->runs === 'across' ? [$low, $high] : [$left, $right];
                    }
                }
            }
            [$embossed, $fits] = Embossing::of($addition, $carrier, $covered['across'], $covered['upright']);
            $on->fit(...$fits);
            $embossed === null || $on->press($embossed);
        }
    }

    /** A pattern is pressed into a piece while it is flat and nothing lies on it. */
    public function onFlat(Figures $figures, string $piece, int $phase): array
    {
        $steps = [];
        $bench = AddedWork::bench($figures->piece($piece));
        foreach ($figures->outfit->embossed as $one) {
            if ($one->piece !== $piece) {
                continue;
            }
            $seam = array_map(fn (Point $p): Spot => AddedWork::found($bench, $p), $one->seam ?? []);
            $id = "$piece/emboss/{$one->addition->id}".(count($steps) > 0 ? '-'.(count($steps) + 1) : '');
            $name = "seam-{$one->addition->id}-".count($steps);
            $ops = count($seam) === 2 ? [$bench->draw(LineKind::Mark, $name, Line::between($seam[0], $seam[1]), $seam[0], $seam[1])] : [];
            $advice = [...($one->isTurned ? ['turn-the-plate'] : []), ...($ops === [] ? [] : ['emboss-twice'])];
            $steps[] = new WorkStep(
                $id, Deed::Punch, $piece, $figures->piece($piece)->count, With::EmbossingPlate,
                ops: $ops, advice: $advice, about: [$one->face], phase: $phase,
            );
        }

        return $steps;
    }
}
