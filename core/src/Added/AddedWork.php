<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Opened;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Make\Shared\RoundedCorner;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\PutOp;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Steps\OpeningKind;
use Gimbo\Core\Steps\Ring;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/**
 * The work on what goes with a make, each at its place among the make's own steps: openings while the sheet is flat; layers cut and glued
 * on before anything is glued up; what goes round it, at the end.
 */
final readonly class AddedWork
{
    private const ORDER = ['rim' => 0, 'backing' => 0, 'frame' => 2];

    /** @param \Closure(string): Pattern $patternOf one of the make's own pieces, its openings in it */
    private function __construct(private Figures $figures, private \Closure $patternOf)
    {
    }

    /**
     * @param list<WorkStep> $steps the make's own
     * @param \Closure(string): Pattern $patternOf
     * @return list<WorkStep>
     */
    public static function among(array $steps, Figures $figures, \Closure $patternOf): array
    {
        return (new self($figures, $patternOf))->merged($steps);
    }

    /** @return list<WorkStep> those in which layers are glued on */
    public static function glued(Figures $figures): array
    {
        $glued = [];
        foreach ($figures->outfit->pieces as $piece) {
            $step = self::glue($figures, $piece, 0);
            $step === null || $glued[] = $step;
        }

        return $glued;
    }

    /**
     * @param list<WorkStep> $steps
     * @return list<WorkStep>
     */
    private function merged(array $steps): array
    {
        $outfit = $this->figures->outfit;
        $made = array_values(array_unique(array_map(fn (WorkStep $step) => $step->piece, $steps)));
        $before = [];
        $after = [];
        foreach ($made as $piece) {
            [$flat, $glue] = [self::first($steps, $piece, [Deed::Fold]), self::first($steps, $piece, [Deed::Glue, Deed::Close, Deed::Fill])];
            $phase = self::phase($steps, $piece);
            foreach ([...$this->openings($piece, $phase), ...$this->embossed($piece, self::bench($this->figures->piece($piece)), $phase)] as $step) {
                $before[min($flat, $glue)][] = $step;
            }
            foreach (self::inOrder($outfit->pieces) as $added) {
                if ($added->placings !== [] && $this->bottom($added) === $piece) {
                    $before[$glue] = [...$before[$glue] ?? [], ...$this->cut($added, $phase), ...array_filter([self::glue($this->figures, $added, $phase)])];
                }
            }
        }
        foreach ($outfit->closures as $id => $closure) {
            $this->shuts($id, $closure, $steps, $before);
        }
        $last = max([0, ...array_map(fn (WorkStep $step) => $step->phase, $steps)]);
        foreach ($outfit->pieces as $added) {
            if ($added->placings === [] && in_array($added->role, ['band', 'label'], true)) {
                array_push($after, ...$this->cut($added, $last), ...$this->around($added, $last));
            }
        }
        foreach ($outfit->supplies as $supply) {
            if ($supply->role === 'ribbon' && $supply->length !== null) {
                $after[] = new WorkStep("$supply->id/tie", Deed::Put, $made[0], advice: ['ribbon-'.$supply->addition->choice('way')], phase: $last, values: ['length' => $supply->length]);
            }
        }
        $merged = [];
        foreach ($steps as $i => $step) {
            array_push($merged, ...$before[$i] ?? [], ...[$this->renamed($step)]);
        }

        return [...$merged, ...$before[count($steps)] ?? [], ...$after];
    }

    /**
     * What lies behind a window first, what hides its glue last.
     *
     * @param list<AddedPiece> $pieces
     * @return list<AddedPiece>
     */
    private static function inOrder(array $pieces): array
    {
        usort($pieces, fn (AddedPiece $a, AddedPiece $b) => (self::ORDER[$a->role] ?? 1) <=> (self::ORDER[$b->role] ?? 1));

        return $pieces;
    }

    /**
     * The first step of some kinds that is done to a piece; the one after its last, where there is none.
     *
     * @param list<WorkStep> $steps
     * @param list<Deed> $deeds
     */
    private static function first(array $steps, string $piece, array $deeds): int
    {
        $last = 0;
        foreach ($steps as $i => $step) {
            $isOf = $step->piece === $piece || array_filter($step->joins, fn (Join $join) => $join->onto->piece === $piece || $join->face->piece === $piece) !== [];
            if ($isOf && in_array($step->do, $deeds, true)) {
                return $i;
            }
            $isOf && $last = $i + 1;
        }

        return $last;
    }

    /** @param list<WorkStep> $steps */
    private static function phase(array $steps, string $piece): int
    {
        return array_values(array_filter($steps, fn (WorkStep $step) => $step->piece === $piece))[0]->phase;
    }

    /** The piece of the make that a layer lies on in the end. */
    private function bottom(AddedPiece $piece): string
    {
        $under = $this->figures->outfit->piece($piece->placings[0]->piece);

        return $under === null ? $piece->placings[0]->piece : $this->bottom($under);
    }

    /** @return list<WorkStep> the openings in one of the make's own pieces */
    private function openings(string $piece, int $phase): array
    {
        $figures = $this->figures->piece($piece);
        $bench = self::bench($figures);
        $steps = [];
        foreach ($this->figures->outfit->openings[$piece] ?? [] as $face => $openings) {
            foreach ($openings as $n => $opening) {
                $steps[] = new WorkStep("$piece/window/$face".($n > 0 ? '-'.($n + 1) : ''), Deed::Hole, $piece, $figures->count, With::Scissors, ops: [new AwayOp(Waste::Opening, $opening->ring($bench))], about: [$face], phase: $phase);
            }
        }

        return $steps;
    }

    /** @return list<WorkStep> a piece cut and made ready */
    private function cut(AddedPiece $piece, int $phase): array
    {
        $work = GridWork::on($piece->figures, $phase);
        $bench = $work->bench;
        $advice = $piece->paper->isDirectional ? ['print-runs-up'] : [];
        $piece->mirrors === null || $advice[] = 'left-and-right-are-mirror-images';
        self::isNearlySquare($piece->figures) && $piece->placings !== [] && $advice[] = 'pencil-which-way-is-up';
        $steps = $work->cutAndScore(advice: $advice);
        [$width, $height] = [$bench->width, $bench->height];
        $spot = fn (Point $p): Spot => $bench->at(self::nearer($bench, 'left', 'right', $p->x, $width), self::nearer($bench, 'bottom', 'top', $p->y, $height));
        $away = array_map(fn (array $ring) => new AwayOp(self::what($ring, $piece), Ring::of(...array_map($spot, $ring))), Rings::waste($piece->outline, $width, $height));
        $round = self::round($piece, $bench);
        if ($round !== null) {
            $away = $round;
        }
        $away === [] || $steps[] = $work->step('outline', $round === null ? Deed::CutAway : Deed::Round, With::Scissors, $away);
        foreach ($piece->openings as $n => $opening) {
            $steps[] = $work->step('window'.($n > 0 ? '-'.($n + 1) : ''), Deed::Hole, With::Scissors, [new AwayOp(Waste::Opening, $opening->ring($bench))]);
        }
        if ($piece->radius > 0.0) {
            $corners = [['left', 'bottom'], ['right', 'bottom'], ['right', 'top'], ['left', 'top']];
            $steps[] = $work->step('corners', Deed::Round, With::CornerPunch, array_map(fn (array $corner) => RoundedCorner::away($bench, $corner[0], $corner[1], $piece->radius), $corners));
        }
        array_push($steps, ...$this->punchedEdges($piece, $work), ...$this->embossed($piece->id(), $bench, $phase));
        $names = $this->names($piece->pattern(), $bench);
        $folds = $this->folds($piece, $bench);
        if ($folds !== []) {
            return [...$steps, $work->step('fold', Deed::Fold, With::BoneFolder, [...$names, ...$folds])];
        }
        $last = count($steps) - 1;
        $steps[$last] = $steps[$last]->withOps([...$steps[$last]->ops, ...$names]);

        return array_values($steps);
    }

    /** @return list<WorkStep> an edge punch along one level edge, or both: from mark to mark, in whole repeats */
    private function punchedEdges(AddedPiece $piece, GridWork $work): array
    {
        $punches = $this->figures->request->tools->punches;
        $repeats = Worked::repeats($piece, $punches);
        if ($repeats === null || $punches->repeat === null) {
            return [];
        }
        $steps = [];
        $end = $repeats->end->toMillimetres();
        foreach (['bottom', 'top'] as $edge) {
            if (in_array($piece->addition->choice('edge'), [$edge, 'both'], true)) {
                $bench = $work->bench;
                $ends = array_map(fn (string $side) => $bench->at($bench->in($side, $end), $edge), ['left', 'right']);
                $steps[] = $work->step("edge/$edge", Deed::Punch, With::EdgePunch, [$bench->draw(LineKind::Mark, "edge-$edge", $bench->in($edge, 0.0), ...$ends)], advice: ['in-whole-repeats'], values: ['repeat' => $punches->repeat]);
            }
        }

        return $steps;
    }

    /** @return list<WorkStep> a pattern pressed into a piece while it is flat and nothing lies on it */
    private function embossed(string $piece, Bench $bench, int $phase): array
    {
        $steps = [];
        foreach ($this->figures->outfit->embossed as $one) {
            if ($one->piece !== $piece) {
                continue;
            }
            $seam = array_map(fn (Point $p): Spot => self::found($bench, $p), $one->seam ?? []);
            $id = "$piece/emboss/{$one->addition->id}".(count($steps) > 0 ? '-'.(count($steps) + 1) : '');
            $ops = count($seam) === 2 ? [$bench->draw(LineKind::Mark, "seam-{$one->addition->id}-".count($steps), Line::between($seam[0], $seam[1]), $seam[0], $seam[1])] : [];
            $steps[] = new WorkStep($id, Deed::Punch, $piece, $this->figures->piece($piece)->count, With::EmbossingPlate, ops: $ops, advice: [...($one->isTurned ? ['turn-the-plate'] : []), ...($ops === [] ? [] : ['emboss-twice'])], about: [$one->face], phase: $phase);
        }

        return $steps;
    }

    /**
     * A round piece in its square: what comes off each corner, along an arc.
     *
     * @return ?list<AwayOp> null for what is not round
     */
    private static function round(AddedPiece $piece, Bench $bench): ?array
    {
        $isDisc = in_array($piece->role, ['disc', 'catch'], true);
        $opening = $piece->openings[0] ?? null;
        if (! $isDisc && ! (in_array($piece->role, ['frame', 'rim'], true) && $opening?->kind === OpeningKind::Circle)) {
            return null;
        }
        [$x, $y] = [$bench->width / 2, $bench->height / 2];
        if (abs($x - $y) > 1e-6) {
            return null;
        }
        $chords = intdiv(count($piece->outline->points), 4);
        $at = fn (float $left, float $bottom): Spot => $bench->at($bench->in('left', $left), $bench->in('bottom', $bottom));
        $centre = $at($x, $y);
        $sides = [[2 * $x, $y, 'top', 'right'], [$x, 2 * $y, 'top', 'left'], [0.0, $y, 'bottom', 'left'], [$x, 0.0, 'bottom', 'right']];
        $away = [];
        foreach ($sides as $i => [$fromX, $fromY, $level, $upright]) {
            [$toX, $toY] = $sides[($i + 1) % 4];
            $away[] = new AwayOp(Waste::Round, Ring::of($bench->at($upright, $level), $at($toX, $toY), $bench->arc($at($toX, $toY), $centre, $at($fromX, $fromY), $chords)));
        }

        return $away;
    }

    /** @param list<Point> $ring */
    private static function what(array $ring, AddedPiece $piece): Waste
    {
        return match (true) {
            in_array($piece->role, ['frame', 'rim', 'liner'], true) => Waste::Taper,
            count($ring) === 3 => Waste::Corner,
            default => Waste::Notch,
        };
    }

    /** From whichever of two edges is nearer. */
    private static function nearer(Bench $bench, string $near, string $far, float $at, float $whole): Line
    {
        return $at <= $whole / 2 ? $bench->in($near, max(0.0, $at)) : $bench->in($far, max(0.0, $whole - $at));
    }

    /** @return list<NameOp> */
    private function names(Pattern $pattern, Bench $bench): array
    {
        $names = [];
        foreach ($pattern->faces as $f => $face) {
            $at = Opened::inside($pattern->polygon($f));
            $names[] = $bench->name((string) $face->name, $face->role, $at->x, $at->y);
        }

        return $names;
    }

    /** @return list<FoldOp> */
    private function folds(AddedPiece $piece, Bench $bench): array
    {
        $folds = [];
        foreach ($piece->whole->edges as $edge) {
            if ($edge->assignment->isFold() && $edge->name !== null) {
                [$from, $to] = [$piece->whole->vertices[$edge->from], $piece->whole->vertices[$edge->to]];
                $spot = fn (Point $p): Spot => $bench->at(self::nearer($bench, 'left', 'right', $p->x, $bench->width), $edge->name);
                $i = (int) substr($edge->name, 1);
                $folds[] = $bench->fold((string) $piece->whole->faces[$i]->name, (string) $piece->whole->faces[$i - 1]->name, $edge->foldDegrees, $edge->name, $spot($from), $spot($to));
            }
        }

        return $folds;
    }

    /** Laid where it belongs and glued, copy by copy. */
    private static function glue(Figures $figures, AddedPiece $piece, int $phase): ?WorkStep
    {
        if ($piece->placings === []) {
            return null;
        }
        $own = self::bench($piece->figures);
        $joins = [];
        foreach ($piece->placings as $n => $placing) {
            $under = self::bench($figures->piece($placing->piece));
            $on = $placing->faces === [] ? [$piece->role => $placing->face] : $placing->faces;
            foreach ($on as $face => $onto) {
                $ring = $piece->whole->polygon($piece->whole->faceNamed($face))->points;
                $meet = array_map(fn (Point $p): array => [self::found($own, $p), self::found($under, $placing->there($p))], self::apart($ring));
                $joins[] = new JoinOp($placing->side === Side::Outside
                    ? Join::of(JoinEnd::inside($piece->id(), $face, $n + 1), JoinEnd::outside($placing->piece, $onto, $placing->copy))
                    : Join::of(JoinEnd::outside($piece->id(), $face, $n + 1), JoinEnd::inside($placing->piece, $onto, $placing->copy)), meet: $meet);
            }
        }
        $advice = match ($piece->role) {
            'backing' => ['glue-outside-the-opening'],
            'liner' => ['glue-the-liner-at-its-top'],
            default => [],
        };

        return new WorkStep("{$piece->id()}/glue", Deed::Glue, $piece->id(), $piece->figures->count, With::Tape, ops: $joins, advice: $advice, phase: $phase);
    }

    private static function found(Bench $bench, Point $p): Spot
    {
        return $bench->at($bench->in('left', $p->x), $bench->in('bottom', $p->y));
    }

    /**
     * @param list<Point> $ring
     * @return array{Point, Point} its two corners furthest from one another
     */
    private static function apart(array $ring): array
    {
        $best = [$ring[0], $ring[1]];
        foreach ($ring as $i => $one) {
            foreach (array_slice($ring, $i + 1) as $two) {
                $two->minus($one)->length() > $best[1]->minus($best[0])->length() + 1e-6 && $best = [$one, $two];
            }
        }

        return $best;
    }

    /** @return list<WorkStep> strips joined to one another, and put round */
    private function around(AddedPiece $piece, int $phase): array
    {
        if ($piece->role !== 'band') {
            return [];
        }
        $steps = [];
        if ($piece->figures->count > 1) {
            $bench = self::bench($piece->figures);
            $overlap = $piece->addition->length('overlap')->toMillimetres();
            $joins = [];
            for ($copy = 2; $copy <= $piece->figures->count; $copy++) {
                $meet = array_map(fn (float $x): array => [self::found($bench, new Point($x, 0)), self::found($bench, new Point($bench->width - $overlap + $x, 0))], [0.0, $overlap]);
                $joins[] = new JoinOp(Join::of(JoinEnd::inside($piece->id(), 'band', $copy), JoinEnd::outside($piece->id(), 'band', $copy - 1)), meet: $meet);
            }
            $steps[] = new WorkStep("{$piece->id()}/join", Deed::Glue, $piece->id(), 1, With::Tape, ops: $joins, phase: $phase);
        }

        return [...$steps, new WorkStep("{$piece->id()}/round", Deed::Close, $piece->id(), advice: ['band-is-joined-at-the-back'], phase: $phase, values: ['overlap' => $piece->addition->length('overlap')])];
    }

    /**
     * What holds a flap shut: discs while the sheet is flat, before anything is glued; a slit before it is folded; a dot and a catch at the end.
     *
     * @param list<WorkStep> $steps
     * @param array<int, list<WorkStep>> $before
     */
    private function shuts(string $id, HeldShut $closure, array $steps, array &$before): void
    {
        if ($closure->face === null || $closure->onBody === null) {
            return;
        }
        $figures = $this->figures->piece($closure->piece);
        [$bench, $phase] = [self::bench($figures), self::phase($steps, $closure->piece)];
        [$fold, $close] = [self::first($steps, $closure->piece, [Deed::Fold]), self::first($steps, $closure->piece, [Deed::Close])];
        if ($closure->slit !== null) {
            [$from, $to] = array_map(fn (Point $p): Spot => self::found($bench, $p), $closure->slit);
            $before[$fold][] = new WorkStep("$closure->piece/slit", Deed::Slit, $closure->piece, $figures->count, With::Scissors, ops: [new LineOp('slit', LineKind::Cut, Line::between($from, $to), $from, $to)], about: [$closure->face], phase: $phase);

            return;
        }
        $at = $closure->kind === 'string' ? $fold : $close;
        foreach ($this->figures->outfit->pieces as $piece) {
            if ($piece->addition->id === $id) {
                $before[$at] = [...$before[$at] ?? [], ...$this->cut($piece, $phase)];
            }
        }
        $what = ['string' => 'disc', 'dot' => 'dot', 'catch' => 'catch'][$closure->kind];
        $put = fn (Point $on, string $face): PutOp => new PutOp($what, $closure->piece, $face, self::found($bench, $on), $closure->sizeMm);
        $ops = $closure->kind === 'catch' ? [$put($closure->onBody, $closure->face)] : [$put($closure->onFlap, Flap::TOP), $put($closure->onBody, $closure->face)];
        $advice = ['string' => ['holes-before-gluing'], 'dot' => ['dot-as-a-closed-pair'], 'catch' => ['glue-its-lower-half']][$closure->kind];
        $string = array_values(array_filter($this->figures->outfit->supplies, fn (Supply $supply) => $supply->addition->id === $id && $supply->role === 'string'))[0] ?? null;
        $before[$at][] = new WorkStep("$closure->piece/$what", Deed::Put, $closure->piece, $figures->count, ops: $ops, advice: [...$advice, ...($string === null ? [] : ['string-round-the-discs'])], phase: $phase, values: $string?->length === null ? [] : ['length' => $string->length]);
    }

    /** A step of the make, its faces named where there still is paper, the parts of those with an opening too. */
    private function renamed(WorkStep $step): WorkStep
    {
        $opened = $this->figures->outfit->openings[$step->piece] ?? [];
        if ($opened === [] || array_filter($step->ops, fn (Op $op) => $op instanceof NameOp && isset($opened[$op->face])) === []) {
            return $step;
        }
        $pattern = ($this->patternOf)($step->piece);
        $bench = self::bench($this->figures->piece($step->piece));
        $ops = [];
        foreach ($step->ops as $op) {
            if (! $op instanceof NameOp || ! isset($opened[$op->face])) {
                $ops[] = $op;

                continue;
            }
            foreach ($pattern->faces as $f => $face) {
                if ($face->name === $op->face || str_starts_with((string) $face->name, "$op->face-part-")) {
                    $at = Opened::inside($pattern->polygon($f));
                    $ops[] = $bench->name((string) $face->name, $op->role, $at->x, $at->y);
                }
            }
        }

        return $step->withOps($ops);
    }

    private static function bench(PieceFigures $piece): Bench
    {
        return new Bench($piece->id, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres());
    }

    /** Sides that an eye takes for equal, within 8 %, so that it could be stuck on sideways (common practice, no source). */
    private static function isNearlySquare(PieceFigures $piece): bool
    {
        [$width, $height] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];

        return abs($width - $height) > 1e-6 && abs($width - $height) < 0.08 * max($width, $height);
    }
}
