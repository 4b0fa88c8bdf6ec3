<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Closure;

use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Sheet\Flap;

/** A top flap that is shut, and what lies under it, place by place along its middle line; distances in millimetres from its fold. */
final readonly class ShutFlap
{
    /** What can lie under it, the uppermost first. */
    private const UNDER = [Flap::BOTTOM, Flap::RIGHT, Flap::LEFT];

    /**
     * @param list<string> $names of the faces
     * @param Point $foot the middle of the flap's fold
     * @param Point $out of length 1, from there to the flap's end
     * @param array<int, array{Polygon, Point, Point}> $under what can lie under it, the uppermost first: its outline, where on it the foot comes to lie, and which way out goes there
     */
    private function __construct(private array $names, private Polygon $outline, private Point $foot, private Point $out, public float $reach, private array $under)
    {
    }

    /** @param list<string> $names of the faces */
    public static function of(Folding $folding, array $names, int $flap): self
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

        [$foot, $out] = [$a->plus($b)->times(0.5), $out->times($reach < 0 ? -1 : 1)];
        $under = [];
        foreach (self::UNDER as $name) {
            $face = array_search($name, $names, true);
            if ($face !== false && $face !== $flap) {
                $there = fn (Point $p): Point => Overlap::onSheet($folding, $face, Overlap::inSpace($folding, $flap, $p));
                $under[$face] = [$folding->pattern->polygon($face), $there($foot), $there($foot->plus($out))->minus($there($foot))];
            }
        }

        return new self($names, $folding->pattern->polygon($flap), $foot, $out, abs($reach), $under);
    }

    /** On the flat sheet. */
    public function at(float $from): Point
    {
        return $this->foot->plus($this->out->times($from));
    }

    /** How far that place is from the flap's own edge or fold; negative beyond it. */
    public function onFlap(float $from): float
    {
        return $this->outline->clearance($this->at($from));
    }

    /** How wide the flap is there. */
    public function width(float $from): float
    {
        return $this->span($this->outline->points, $this->at($from), $this->out);
    }

    /**
     * The uppermost face under that place, and how far it is from the nearest edge of it or of what lies over it.
     *
     * @return array{?int, float}
     */
    public function under(float $from): array
    {
        $over = INF;
        foreach ($this->under as $face => [$outline]) {
            $clear = $outline->clearance($this->onFace($face, $from));
            if ($clear > 0) {
                return [$face, min($clear, $over)];
            }
            $over = min($over, -$clear);
        }

        return [null, -INF];
    }

    /** How much paper the uppermost face there has to both sides, in all; as much as the narrower side has, twice. 0 where there is none. */
    public function paperAt(float $from): float
    {
        [$face] = $this->under($from);
        if ($face === null) {
            return 0.0;
        }
        [$outline, , $out] = $this->under[$face];

        return $this->span($outline->points, $this->onFace($face, $from), $out);
    }

    /**
     * A line of a length through that place, square to the flap's middle line.
     *
     * @return array{Point, Point} its ends on the flat sheet
     */
    public function across(int $face, float $from, float $long): array
    {
        [, , $out] = $this->under[$face];
        $half = (new Point(-$out->y, $out->x))->times($long / 2 / $out->length());

        return [$this->onFace($face, $from)->minus($half), $this->onFace($face, $from)->plus($half)];
    }

    public function name(int $face): string
    {
        return $this->names[$face];
    }

    /** Where on the flat sheet the place is that lies under it, on a face or beyond its edge. */
    public function onFace(int $face, float $from): Point
    {
        [, $foot, $out] = $this->under[$face];

        return $foot->plus($out->times($from));
    }

    /**
     * Across a ring through a place inside it, square to a direction: twice the nearer side.
     *
     * @param list<Point> $ring
     */
    private function span(array $ring, Point $place, Point $direction): float
    {
        $across = new Point(-$direction->y, $direction->x);
        $nearest = [INF, INF];
        foreach ($ring as $i => $from) {
            $to = $ring[($i + 1) % count($ring)];
            [$d, $e] = [$from->minus($place)->dot($direction), $to->minus($place)->dot($direction)];
            if (($d > 0) === ($e > 0)) {
                continue;
            }
            $hit = $from->plus($to->minus($from)->times($d / ($d - $e)))->minus($place)->dot($across);
            $side = $hit < 0 ? 0 : 1;
            $nearest[$side] = min($nearest[$side], abs($hit));
        }

        return is_finite($nearest[0] + $nearest[1]) ? 2 * min(...$nearest) : 0.0;
    }
}
