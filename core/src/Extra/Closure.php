<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Request\ClosureKind;
use Gimbo\Core\Sheet\Flap;

/** Where on the flat sheet what holds a top flap shut goes, see ClosureKind. Distances are common practice, no source. */
final readonly class Closure
{
    /** From the flap's end to what is on it, and as far below the end to the disc on the body. */
    private const FROM_END_MM = 12.0;

    /**
     * @param Point $onFlap on the flat sheet
     * @param ?string $face what lies under it when it is shut; null where there is nothing, so that it cannot be held there
     * @param ?Point $onBody on that face, on the flat sheet
     * @param float $slitMm how long the slit for a tucked flap is; 0 for the others
     */
    private function __construct(public ClosureKind $kind, public Point $onFlap, public ?string $face, public ?Point $onBody, public float $slitMm)
    {
    }

    /**
     * Null where none is wanted, or the pattern has no top flap.
     *
     * @param callable(): Folding $folded the pattern, folded; asked for only where there is something to hold shut
     */
    public static function of(ClosureKind $kind, Pattern $pattern, callable $folded): ?self
    {
        $names = array_map(fn (Face $face) => (string) $face->name, $pattern->faces);
        $flap = $kind === ClosureKind::None ? false : array_search(Flap::TOP, $names, true);
        if ($flap === false) {
            return null;
        }
        $folding = $folded();
        [$foot, $out, $reach, $width] = self::axis($folding, $flap);
        $onFlap = $foot->plus($out->times(max($reach - self::FROM_END_MM, $reach / 2)));
        $toBody = $kind === ClosureKind::String ? $reach + self::FROM_END_MM : max($reach - self::FROM_END_MM, $reach / 2);
        $place = Overlap::inSpace($folding, $flap, $foot->plus($out->times($toBody)));
        $under = self::under($folding, $names, $flap, $place);
        $slit = $kind === ClosureKind::Tuck ? min($width, 2 * self::FROM_END_MM + $width / 4) + 2 : 0.0;

        return new self($kind, $onFlap, $under === null ? null : $names[$under], $under === null ? null : Overlap::onSheet($folding, $under, $place), $slit);
    }

    /** @return array{Point, Point, float, float} the middle of the flap's fold, the direction out from it, how far it reaches, and how long the fold is */
    private static function axis(Folding $folding, int $flap): array
    {
        $hinge = null;
        foreach ($folding->pattern->edges as $edge) {
            $ring = $folding->pattern->faces[$flap]->vertices;
            if ($edge->assignment->isFold() && in_array($edge->from, $ring, true) && in_array($edge->to, $ring, true)) {
                $hinge = $edge;
            }
        }
        assert($hinge !== null);
        [$a, $b] = [$folding->pattern->vertices[$hinge->from], $folding->pattern->vertices[$hinge->to]];
        $along = $b->minus($a)->times(1 / $b->minus($a)->length());
        $out = new Point(-$along->y, $along->x);
        $reaches = array_map(fn (Point $p) => $p->minus($a)->dot($out), $folding->pattern->polygon($flap)->points);
        $reach = abs(min($reaches)) > max($reaches) ? min($reaches) : max($reaches);

        return [$a->plus($b)->times(0.5), $out->times($reach < 0 ? -1 : 1), abs($reach), $b->minus($a)->length()];
    }

    /**
     * The uppermost face under the flap at a place in space, looking through whatever room the contents take.
     *
     * @param list<string> $names
     */
    private static function under(Folding $folding, array $names, int $flap, Vector $place): ?int
    {
        foreach ([Flap::BOTTOM, Flap::RIGHT, Flap::LEFT] as $name) {
            $face = array_search($name, $names, true);
            if ($face !== false && $face !== $flap && $folding->pattern->polygon($face)->containsOrTouches(Overlap::onSheet($folding, $face, $place))) {
                return $face;
            }
        }

        return null;
    }
}
