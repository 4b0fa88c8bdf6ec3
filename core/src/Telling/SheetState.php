<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Remains;
use Gimbo\Core\Geometry\Segment;
use Gimbo\Core\Steps\Arc;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Path;

/** A sheet as it is at one moment of the work, from what was done to it so far and nothing else. */
final class SheetState
{
    /** Nearer than that, a point lies on an edge. */
    private const NEAR_MM = 0.01;

    /** @var list<Segment>|null */
    private ?array $edges = null;

    /**
     * @param array<string, LineOp> $lines by id
     * @param list<AwayOp> $away
     * @param list<FoldOp> $folds
     * @param list<array{float, float, float, float}> $cuts where it was cut: both ends of each
     */
    private function __construct(
        public readonly string $piece, public readonly float $width, public readonly float $height,
        public readonly array $lines, public readonly array $away, public readonly array $folds, private readonly array $cuts,
    ) {
    }

    /** The blank rectangle of a piece. */
    public static function blank(string $piece, float $width, float $height): self
    {
        return new self($piece, $width, $height, [], [], [], [[0.0, 0.0, $width, 0.0], [$width, 0.0, $width, $height], [0.0, $height, $width, $height], [0.0, 0.0, 0.0, $height]]);
    }

    /** @param list<Op> $ops */
    public function after(array $ops): self
    {
        [$lines, $away, $folds, $cuts] = [$this->lines, $this->away, $this->folds, $this->cuts];
        foreach ($ops as $op) {
            if ($op instanceof LineOp) {
                $lines[$op->id] = $op;
                $op->kind === LineKind::Cut && $cuts[] = [$op->from->is->x, $op->from->is->y, $op->to->is->x, $op->to->is->y];
            } elseif ($op instanceof AwayOp) {
                $away[] = $op;
                foreach ($op->ring->points as $i => $from) {
                    $to = $op->ring->points[$i + 1] ?? $op->ring->points[0];
                    $cuts[] = [$from->x, $from->y, $to->x, $to->y];
                }
            } elseif ($op instanceof FoldOp) {
                $folds[] = $op;
            }
        }

        return new self($this->piece, $this->width, $this->height, $lines, $away, $folds, $cuts);
    }

    /** @return list<Segment> outline and openings */
    public function edges(): array
    {
        return $this->edges ??= Remains::edges($this->width, $this->height, array_map(fn (AwayOp $away) => $away->ring->points, $this->away));
    }

    /**
     * Where something that comes off has to be cut: its sides that are neither edges of the sheet nor cut already.
     *
     * @return list<Path>
     */
    public function cuts(AwayOp $away): array
    {
        $parts = $away->ring->parts;
        $corners = $away->ring->corners();
        $n = count($parts);
        $sides = [];
        foreach (range(0, $n - 1) as $i) {
            $next = $parts[($i + 1) % $n];
            $middle = $next instanceof Arc
                ? $next->points($corners[$i]->is)[intdiv($next->chords, 2) - 1]
                : $corners[$i]->is->plus($next->is)->times(0.5);
            $sides[] = ! $this->isCutAt($middle);
        }
        // Begun where a cut begins.
        $first = 0;
        while ($first < $n && ($sides[$first] === false || $sides[($first + $n - 1) % $n])) {
            $first++;
        }
        $paths = [];
        $from = null;
        $to = [];
        for ($k = 0; $k <= $n; $k++) {
            $i = ($first + $k) % $n;
            if ($k < $n && $sides[$i]) {
                $from ??= $corners[$i];
                $to[] = $parts[($i + 1) % $n];
            } elseif ($from !== null && $to !== []) {
                $paths[] = new Path($from, $to);
                [$from, $to] = [null, []];
            }
        }

        return $paths;
    }

    /**
     * What of a segment lies on paper that is left.
     *
     * @return list<Segment>
     */
    public function onPaper(Point $from, Point $to): array
    {
        $length = $to->minus($from)->length();
        if ($length < self::NEAR_MM) {
            return [];
        }
        $way = $to->minus($from)->times(1 / $length);
        $stops = [0.0, $length];
        foreach ($this->edges() as $edge) {
            $side = $edge->to->minus($edge->from);
            $cross = $way->cross($side);
            $along = abs($cross) > 1e-9 ? [$edge->from->minus($from)->cross($side) / $cross] : [$edge->from->minus($from)->dot($way), $edge->to->minus($from)->dot($way)];
            array_push($stops, ...array_filter($along, fn (float $at) => $at > 0.0 && $at < $length));
        }
        sort($stops);
        $left = [];
        foreach ($stops as $i => $begin) {
            $end = $stops[$i + 1] ?? $begin;
            if ($end - $begin > self::NEAR_MM && $this->isPaper($from->plus($way->times(($begin + $end) / 2)))) {
                $left[] = new Segment($from->plus($way->times($begin)), $from->plus($way->times($end)));
            }
        }

        return $left;
    }

    private function isPaper(Point $point): bool
    {
        foreach ($this->away as $away) {
            $isIn = false;
            $ring = $away->ring->points;
            foreach ($ring as $i => $a) {
                $b = $ring[$i + 1] ?? $ring[0];
                if (($a->y > $point->y) !== ($b->y > $point->y) && $point->x < ($b->x - $a->x) * ($point->y - $a->y) / ($b->y - $a->y) + $a->x) {
                    $isIn = ! $isIn;
                }
            }
            if ($isIn) {
                return false;
            }
        }

        return true;
    }

    /** Whether a point lies on an edge, or on a cut that was made. */
    public function isCutAt(Point $point): bool
    {
        [$x, $y, $near] = [$point->x, $point->y, self::NEAR_MM];
        foreach ($this->cuts as [$ax, $ay, $bx, $by]) {
            // Far from its box: most of them.
            if (($x < $ax - $near && $x < $bx - $near) || ($x > $ax + $near && $x > $bx + $near) || ($y < $ay - $near && $y < $by - $near) || ($y > $ay + $near && $y > $by + $near)) {
                continue;
            }
            [$dx, $dy] = [$bx - $ax, $by - $ay];
            if (abs($dx * ($y - $ay) - $dy * ($x - $ax)) <= $near * sqrt($dx * $dx + $dy * $dy)) {
                return true;
            }
        }

        return false;
    }
}
