<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Opened;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Make\Shared\RoundedCorner;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\OpeningKind;
use Gimbo\Core\Steps\Ring;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\Punches;

/** The work on a piece that goes with a make, until it is ready to be put on. */
final readonly class Cutting
{
    private Bench $bench;

    private GridWork $work;

    private function __construct(private AddedPiece $piece, int $phase)
    {
        $this->work = GridWork::on($piece->figures, $phase);
        $this->bench = $this->work->bench;
    }

    /**
     * @param \Closure(): list<WorkStep> $onFlat what roles do to its flat sheet
     * @return list<WorkStep>
     */
    public static function of(AddedPiece $piece, Punches $punches, int $phase, \Closure $onFlat): array
    {
        $cutting = new self($piece, $phase);
        $steps = [...$cutting->sheet(), ...$cutting->outline(), ...$cutting->openings(), ...$cutting->corners(), ...$cutting->edges($punches), ...$onFlat()];
        $names = $cutting->names($piece->pattern());
        $folds = $cutting->folds();
        if ($folds !== []) {
            return [...$steps, $cutting->work->step('fold', Deed::Fold, With::BoneFolder, [...$names, ...$folds])];
        }
        $last = count($steps) - 1;
        $steps[$last] = $steps[$last]->withOps([...$steps[$last]->ops, ...$names]);

        return $steps;
    }

    /** @return non-empty-list<WorkStep> */
    private function sheet(): array
    {
        $advice = $this->piece->paper->isDirectional ? ['print-runs-up'] : [];
        $this->piece->mirrors === null || $advice[] = 'left-and-right-are-mirror-images';
        self::isNearlySquare($this->piece->figures) && $this->piece->placings !== [] && $advice[] = 'pencil-which-way-is-up';

        return $this->work->cutAndScore(advice: $advice) ?: throw new \LogicException('A sheet is cut.');
    }

    /** @return list<WorkStep> */
    private function outline(): array
    {
        $round = $this->round();
        if ($round !== null) {
            return [$this->work->step('outline', Deed::Round, With::Scissors, $round)];
        }
        [$width, $height] = [$this->bench->width, $this->bench->height];
        $spot = fn (Point $p): Spot => $this->bench->at($this->nearer('left', 'right', $p->x, $width), $this->nearer('bottom', 'top', $p->y, $height));
        $away = array_map(
            fn (array $ring) => new AwayOp($this->what($ring), Ring::of(...array_map($spot, $ring))),
            Rings::waste($this->piece->outline, $width, $height),
        );

        return $away === [] ? [] : [$this->work->step('outline', Deed::CutAway, With::Scissors, $away)];
    }

    /** @return list<WorkStep> */
    private function openings(): array
    {
        $steps = [];
        foreach ($this->piece->openings as $n => $opening) {
            $away = [new AwayOp(Waste::Opening, $opening->ring($this->bench))];
            $steps[] = $this->work->step('window'.($n > 0 ? '-'.($n + 1) : ''), Deed::Hole, With::Scissors, $away);
        }

        return $steps;
    }

    /** @return list<WorkStep> */
    private function corners(): array
    {
        if ($this->piece->radius <= 0.0) {
            return [];
        }
        $corners = [['left', 'bottom'], ['right', 'bottom'], ['right', 'top'], ['left', 'top']];
        $away = array_map(fn (array $corner) => RoundedCorner::away($this->bench, $corner[0], $corner[1], $this->piece->radius), $corners);

        return [$this->work->step('corners', Deed::Round, With::CornerPunch, $away)];
    }

    /** @return list<WorkStep> an edge punch along one level edge, or both: from mark to mark, in whole repeats */
    private function edges(Punches $punches): array
    {
        $repeats = Worked::repeats($this->piece, $punches);
        if ($repeats === null || $punches->repeat === null) {
            return [];
        }
        $steps = [];
        $bench = $this->bench;
        $end = $repeats->end->toMillimetres();
        foreach (['bottom', 'top'] as $edge) {
            if (in_array($this->piece->addition->choice('edge'), [$edge, 'both'], true)) {
                $ends = array_map(fn (string $side) => $bench->at($bench->in($side, $end), $edge), ['left', 'right']);
                $mark = $bench->draw(LineKind::Mark, "edge-$edge", $bench->in($edge, 0.0), ...$ends);
                $values = ['repeat' => $punches->repeat];
                $steps[] = $this->work->step("edge/$edge", Deed::Punch, With::EdgePunch, [$mark], advice: ['in-whole-repeats'], values: $values);
            }
        }

        return $steps;
    }

    /**
     * A round piece in its square: what comes off each corner, along an arc.
     *
     * @return ?list<AwayOp> null for what is not round
     */
    private function round(): ?array
    {
        $opening = $this->piece->openings[0] ?? null;
        if (! $this->piece->kind->isDisc && ! ($this->piece->kind->isRim && $opening?->kind === OpeningKind::Circle)) {
            return null;
        }
        $bench = $this->bench;
        [$x, $y] = [$bench->width / 2, $bench->height / 2];
        if (abs($x - $y) > 1e-6) {
            return null;
        }
        $chords = intdiv(count($this->piece->outline->points), 4);
        $at = fn (float $left, float $bottom): Spot => $bench->at($bench->in('left', $left), $bench->in('bottom', $bottom));
        $centre = $at($x, $y);
        $sides = [[2 * $x, $y, 'top', 'right'], [$x, 2 * $y, 'top', 'left'], [0.0, $y, 'bottom', 'left'], [$x, 0.0, 'bottom', 'right']];
        $away = [];
        foreach ($sides as $i => [$fromX, $fromY, $level, $upright]) {
            [$toX, $toY] = $sides[($i + 1) % 4];
            $arc = $bench->arc($at($toX, $toY), $centre, $at($fromX, $fromY), $chords);
            $away[] = new AwayOp(Waste::Round, Ring::of($bench->at($upright, $level), $at($toX, $toY), $arc));
        }

        return $away;
    }

    /** @param list<Point> $ring */
    private function what(array $ring): Waste
    {
        return match (true) {
            $this->piece->kind->isRim, $this->piece->kind->isTapered => Waste::Taper,
            count($ring) === 3 => Waste::Corner,
            default => Waste::Notch,
        };
    }

    /** From whichever of two edges is nearer. */
    private function nearer(string $near, string $far, float $at, float $whole): Line
    {
        return $at <= $whole / 2 ? $this->bench->in($near, max(0.0, $at)) : $this->bench->in($far, max(0.0, $whole - $at));
    }

    /** @return list<NameOp> */
    private function names(Pattern $pattern): array
    {
        $names = [];
        foreach ($pattern->faces as $f => $face) {
            $at = Opened::inside($pattern->polygon($f));
            $names[] = $this->bench->name((string) $face->name, $face->role, $at->x, $at->y);
        }

        return $names;
    }

    /** @return list<FoldOp> */
    private function folds(): array
    {
        $folds = [];
        $whole = $this->piece->whole;
        foreach ($whole->edges as $edge) {
            if ($edge->assignment->isFold() && $edge->name !== null) {
                [$from, $to] = [$whole->vertices[$edge->from], $whole->vertices[$edge->to]];
                $spot = fn (Point $p): Spot => $this->bench->at($this->nearer('left', 'right', $p->x, $this->bench->width), $edge->name);
                $i = (int) substr($edge->name, 1);
                [$moves, $onto] = [(string) $whole->faces[$i]->name, (string) $whole->faces[$i - 1]->name];
                $folds[] = $this->bench->fold($moves, $onto, $edge->foldDegrees, $edge->name, $spot($from), $spot($to));
            }
        }

        return $folds;
    }

    /** Sides that an eye takes for equal, within 8 %, so that it could be stuck on sideways (common practice, no source). */
    private static function isNearlySquare(PieceFigures $piece): bool
    {
        [$width, $height] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];

        return abs($width - $height) > 1e-6 && abs($width - $height) < 0.08 * max($width, $height);
    }
}
