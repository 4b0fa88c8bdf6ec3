<?php

declare(strict_types=1);

namespace App\Words;

use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Steps\Arc;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\PutOp;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\Path;
use Gimbo\Core\Steps\RingKind;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\Course;
use Gimbo\Core\Telling\FigureText;
use Gimbo\Core\Telling\PartSize;
use Gimbo\Core\Telling\SheetState;
use Gimbo\Core\Telling\Taping;
use Gimbo\Core\Tool\ToolKind;
use LogicException;

/**
 * Steps in words, from their data alone: the one place for the screen, the handout and what is copied.
 *
 * Every figure of a step's data stands in its sentences.
 */
final readonly class StepWords
{
    private const EDGES = ['left', 'right', 'bottom', 'top'];

    /** @var array<int, SheetState> */
    private array $before;

    public function __construct(private Words $words, private Design $design)
    {
        $this->before = Course::of($design, array_keys($design->steps()));
    }

    /** @return list<Sentence> what is done in a step, its number counted from 0 */
    public function of(int $index): array
    {
        $step = $this->design->steps()[$index];
        $said = match ($step->do) {
            Deed::Cut => [$this->cut($step)],
            Deed::Punch => $step->with === With::PunchBoard ? $this->punch($step) : $this->pressed($step),
            Deed::Score => [$this->score($step, $this->before[$index])],
            Deed::Fold => $this->folds($step),
            Deed::Glue => $this->glued($step),
            Deed::Put => $this->put($step),
            default => $this->worked($step, $this->before[$index]),
        };

        return $said === [] ? [$this->bare($step)] : $said;
    }

    /** @return list<Sentence> advice, and what else a maker should know */
    public function advice(int $index): array
    {
        $step = $this->design->steps()[$index];
        $with = $step->do === Deed::Glue && $step->with !== null ? [$this->say("with.{$step->with->value}")] : [];
        foreach (Taping::of($this->design, $step) as $tape) {
            $with[] = $tape->width === null ? $this->say('tape.too-wide') : $this->say('tape.strips', ['count' => (string) $tape->strips, 'width' => $this->figure($tape->width->toMillimetres()), 'length' => $this->figure($tape->length->toMillimetres())]);
        }

        $values = array_map(fn (Length $value) => new Figure(LengthFormatter::for($this->design->request->system)->rounded($value)), $step->values);

        return [...array_map(fn (string $code) => $this->say("advice.$code", $values), $step->advice), ...$with, ...($step->do === Deed::Glue ? $this->crooked($step) : [])];
    }

    /** The other reading of the same line, where there is one. */
    public function or(int $index): ?Sentence
    {
        $step = $this->design->steps()[$index];
        $line = array_values(array_filter($step->or[0] ?? [], fn (Op $op) => $op instanceof LineOp))[0] ?? null;
        if ($line === null) {
            return null;
        }
        if ($line->on->edge !== null) {
            return $this->say('or.score', ['at' => $this->figure($line->on->at), 'edge' => $this->edge($line->on->edge)]);
        }

        return $this->say('or.lined-up', ['line' => $this->fold(str_replace(Bench::AGAIN, '', $line->id))]);
    }

    /** How many quarters clockwise the sheet is turned since the step before of the same piece; 0 where it was only now cut, or lies slanted. */
    public function quarters(int $index): int
    {
        $steps = $this->design->steps();
        $before = $steps[$index - 1] ?? null;
        if ($before === null || $before->piece !== $steps[$index]->piece || $before->do === Deed::Cut || $steps[$index]->fence === null) {
            return 0;
        }
        $quarters = fmod(($steps[$index]->turn - $before->turn) / 90 + 8, 4);

        return abs($quarters - round($quarters)) < 1e-6 ? (int) round($quarters) % 4 : 0;
    }

    /** The step without figures: to look, to fill, to close. */
    private function bare(WorkStep $step): Sentence
    {
        $own = "step.{$step->do->value}.".($this->piece($step->piece)->added()->role ?? $step->piece);

        return $this->say($this->words->has($own) ? $own : "step.{$step->do->value}");
    }

    private function cut(WorkStep $step): Sentence
    {
        $piece = $this->piece($step->piece);
        ['width' => $width, 'height' => $height] = $piece->figures->cutText();
        $copies = $this->design->inAll($step->copies);
        $slots = ['width' => new Figure($width), 'height' => new Figure($height), 'count' => (string) $copies];

        return Sentence::joined([$this->say($copies > 1 ? 'step.cut.several' : 'step.cut', $slots), $this->blade($step)]);
    }

    private function score(WorkStep $step, SheetState $before): Sentence
    {
        $line = $this->lines($step)[0];
        $measure = $line->measure === null ? null : $this->piece($step->piece)->measures[$line->measure];
        if ($measure === null) {
            return $this->say('step.score.ends', ['from' => $this->point($line->from, $before), 'to' => $this->point($line->to, $before)]);
        }
        $slots = ['at' => new Figure($measure->text()), 'from' => $this->words->sentence($line->on->edge !== null ? "edge.{$line->on->edge}" : "from.$measure->from")];
        $key = 'step.score';
        if ($line->on->corner !== null && $measure->groove === null) {
            return $this->say('step.score.tip', ['at' => $slots['at'], 'face' => $this->words->sentence("face.$line->id")]);
        }
        if ($measure->groove !== null) {
            [$key, $slots['groove'], $slots['face']] = ['step.score.corner', new Figure($measure->text($measure->groove)), $this->words->sentence("face.$line->id")];
        }

        return Sentence::joined([$this->say($key, $slots), $this->blade($step)]);
    }

    /** @return list<Sentence> */
    private function punch(WorkStep $step): array
    {
        $lines = $this->lines($step);
        $measure = $this->piece($step->piece)->measures[$step->measures[0]];
        $folds = array_map(fn (LineOp $line) => $this->fold(str_replace(Bench::AGAIN, '', $line->id)), $lines);
        $side = $this->words->sentence("edge.$step->fence");

        return [
            $this->say('step.punch', ['at' => new Figure($measure->text()), 'from' => $this->words->sentence("from.$measure->from"), 'edge' => $side]),
            $this->say(count($folds) > 1 ? 'step.punch.both' : 'step.punch.one', ['lines' => Sentence::listed($this->words, $folds)]),
        ];
    }

    /** @return list<Sentence> an edge punch from mark to mark; a plate, and where its two passes meet */
    private function pressed(WorkStep $step): array
    {
        $slots = ['faces' => $this->faces($step->faces)];
        $line = $this->lines($step)[0] ?? null;
        if ($line === null) {
            return [$this->say('step.punch.plate', $slots)];
        }
        $ends = array_map(fn (Spot $end) => $this->point($end, $this->finished($step->piece)), [$line->from, $line->to]);

        return [$step->with === With::EdgePunch
            ? $this->say('step.punch.edge', ['edge' => $this->edge($line->on->edge ?? ''), 'end' => $this->figure($line->from->is->x)])
            : $this->say('step.punch.plates', $slots + ['from' => $ends[0], 'to' => $ends[1]])];
    }

    /** @return list<Sentence> op by op, each as the sheet lies by then */
    private function worked(WorkStep $step, SheetState $state): array
    {
        $said = [];
        foreach ($step->ops as $op) {
            // What is cut on a line of its own comes off, and is said with that.
            $isSaidLater = $op instanceof LineOp && $op->kind === LineKind::Cut && $op->on->line === null && $op->measure === null && $step->do !== Deed::Slit;
            if ($op instanceof LineOp && ! $isSaidLater) {
                $said[] = $op->kind === LineKind::Mark ? $this->mark($op, $step) : $this->slit($op, $step, $state);
            } elseif ($op instanceof AwayOp) {
                $said[] = $this->away($op, $step, $state);
            }
            $isSaidLater || $state = $state->after([$op]);
        }

        return array_values(array_filter($said));
    }

    private function mark(LineOp $op, WorkStep $step): Sentence
    {
        $measure = $op->measure === null ? null : $this->piece($step->piece)->measures[$op->measure];
        $ends = array_map(fn (Spot $end): string => $this->edge($end->one->edge ?? $end->two->edge ?? ''), [$op->from, $op->to]);

        return $this->say('step.mark', [
            'at' => $measure === null ? $this->figure($op->on->at) : new Figure($measure->text()), 'edge' => $this->edge($op->on->edge ?? ''), 'one' => $ends[0], 'two' => $ends[1],
        ]);
    }

    private function slit(LineOp $op, WorkStep $step, SheetState $state): Sentence
    {
        $measure = $op->measure === null ? null : $this->piece($step->piece)->measures[$op->measure];
        if ($op->on->line === null && $op->on->spots !== [] && $op->on->meets === null && $measure === null) {
            return $this->say('step.slit.ends', ['from' => $this->point($op->from, $state), 'to' => $this->point($op->to, $state), 'long' => $this->figure($op->to->is->minus($op->from->is)->length())]);
        }
        if ($measure !== null && $op->on->meets !== null) {
            return $this->say('step.cut.rail', [
                'at' => new Figure($measure->text()), 'corner' => $this->words->sentence("corner.{$op->on->corner}"), 'on' => $this->point($op->from, $state), 'edge' => $this->edge($op->on->meets),
            ]);
        }
        if ($measure !== null) {
            return $this->say('step.cut.tip', ['at' => new Figure($measure->text()), 'corner' => $this->words->sentence("corner.$measure->from"), 'flap' => $this->faces($step->faces)]);
        }

        return $this->say('step.slit', ['line' => $this->line($op->on, $state), 'from' => $this->along($op->from, $op->on, $state), 'to' => $this->along($op->to, $op->on, $state)]);
    }

    /** What comes off, where it is cut, and how large it is; null where a cut said before has freed it. */
    private function away(AwayOp $op, WorkStep $step, SheetState $state): ?Sentence
    {
        $paths = $state->cuts($op);
        if ($paths === []) {
            return null;
        }
        if ($op->what === Waste::Opening) {
            return $this->opening($op, $paths, $state);
        }
        $radius = $this->piece($step->piece)->added()->radius ?? 0.0;
        if ($radius > 0.0 && $op->what === Waste::Round) {
            return $op === $step->ops[0] ? $this->say('away.corners', ['radius' => $this->figure($radius)]) : null;
        }
        if ($this->piece($step->piece)->isAdded() && in_array($op->what, [Waste::Round, Waste::Taper], true)) {
            // All four corners come off along one line.
            return $op === $step->ops[0] ? $this->outer($this->piece($step->piece)) : null;
        }
        $path = Sentence::joined(array_merge(...array_map(fn (Path $path, int $i): array => [...($i > 0 ? [$this->words->sentence('list.between')] : []), $this->path($path, $state)], $paths, array_keys($paths))));
        $ring = $op->ring->points;
        $slots = ['path' => $path, 'faces' => $this->faces($step->faces)];
        if ($op->what === Waste::Round) {
            return $this->say('away.round', $slots + ['radius' => $this->figure($op->ring->arcs()[0]->radius), 'corner' => $this->point($op->ring->corners()[0], $state)]);
        }
        $hairs = PartSize::hairs($op);
        if ($op->what === Waste::Corner && count($hairs) === 2) {
            return $this->hairCorner($op, $hairs, $step, $state);
        }
        if ($op->what === Waste::Wedge) {
            // From its point to the two corners at its mouth.
            $slots['wide'] = $this->figure($ring[2]->minus($ring[1])->length());
        }
        if ($op->what === Waste::Corner) {
            [$slots['width'], $slots['height']] = array_map($this->figure(...), PartSize::of($op, $state, $this->piece($step->piece)->figures->layout));
        }

        // Round the inner of four little squares, that stays.
        $isRoundOne = $op->what === Waste::Corner && count($op->ring->corners()) === 6;

        return $this->say($isRoundOne ? 'away.corner.three' : "away.{$op->what->value}", $slots);
    }

    /**
     * By its shape and where it lies on the sheet; by its corners where it has a few of them.
     *
     * @param list<Path> $paths
     */
    private function opening(AwayOp $op, array $paths, SheetState $state): Sentence
    {
        $kind = RingKind::of($op->ring);
        [$xs, $ys] = [array_map(fn (Point $p) => $p->x, $op->ring->points), array_map(fn (Point $p) => $p->y, $op->ring->points)];
        [$left, $right, $low, $high] = [min($xs), max($xs), min($ys), max($ys)];
        $isByMiddle = in_array($kind, [RingKind::Circle, RingKind::Oval], true);

        return $this->say("away.opening.$kind->value", [
            'width' => $this->figure($right - $left), 'height' => $this->figure($high - $low),
            'left' => $this->figure($isByMiddle ? ($left + $right) / 2 : $left), 'bottom' => $this->figure($isByMiddle ? ($low + $high) / 2 : $low),
            'radius' => $this->figure($op->ring->arcs()[0]->radius ?? 0.0), 'path' => $this->path($paths[0], $state),
        ]);
    }

    /** The outer edge of a piece that is no rectangle: a disc, a frame round an opening, a liner. */
    private function outer(Piece $piece): Sentence
    {
        $opening = $piece->added()->openings[0] ?? null;
        $points = $piece->whole()->polygon(0)->points;
        $xs = array_map(fn (Point $p) => $p->x, $points);
        $shape = match (true) {
            in_array($piece->added()?->role, ['disc', 'catch'], true) => 'circle',
            $opening === null => 'template',
            default => ['circle' => 'circle', 'oval' => 'oval', 'rect' => 'rounded', 'ring' => 'template'][$opening->kind->value],
        };
        ['width' => $width, 'height' => $height] = $piece->figures->cutText();

        return $this->say("away.outer.$shape", ['across' => $this->figure(max($xs) - min($xs)), 'width' => new Figure($width), 'height' => new Figure($height)]);
    }

    /**
     * A corner between two scores, cut a hair inside the flaps.
     *
     * @param array{string, string} $scores
     */
    private function hairCorner(AwayOp $op, array $scores, WorkStep $step, SheetState $state): Sentence
    {
        [$width, $height] = PartSize::of($op, $state, $this->piece($step->piece)->figures->layout);
        $off = max(array_map(fn (Spot $corner): float => max(PartSize::isHair($corner->one) ? $corner->one->off ?? 0.0 : 0.0, PartSize::isHair($corner->two) ? $corner->two->off ?? 0.0 : 0.0), $op->ring->corners()) ?: [0.0]);

        return $this->say('away.corner.hair', [
            'width' => $this->figure($width), 'height' => $this->figure($height),
            'one' => $this->known($scores[0], $state), 'two' => $this->known($scores[1], $state), 'off' => $this->figure($off),
        ]);
    }

    private function path(Path $path, SheetState $state): Sentence
    {
        $along = $this->pathAlongLines($path, $state);
        if ($along !== null) {
            return $along;
        }
        $parts = [$this->say('path.from', ['point' => $this->point($path->from, $state)])];
        foreach ($path->to as $to) {
            $parts[] = $to instanceof Arc
                ? $this->say('path.round', ['radius' => $this->figure($to->radius), 'point' => $this->point($to->to, $state)])
                : $this->say('path.to', ['point' => $this->point($to, $state)]);
        }

        return Sentence::joined($parts);
    }

    /** A path each part of which lies on a line that is there already; null where one does not. */
    private function pathAlongLines(Path $path, SheetState $state): ?Sentence
    {
        $corners = [$path->from];
        foreach ($path->to as $to) {
            if ($to instanceof Arc) {
                return null;
            }
            $corners[] = $to;
        }
        $parts = [];
        foreach (array_slice($corners, 1) as $i => $corner) {
            $line = self::shared($corners[$i], $corner);
            if ($line === null) {
                return null;
            }
            $to = $this->along($corner, $line, $state);
            $parts[] = $i === 0
                ? $this->say('path.along', ['from' => $this->along($corners[0], $line, $state), 'line' => $this->line($line, $state), 'to' => $to])
                : $this->say('path.on', ['to' => $to]);
        }

        return Sentence::joined($parts);
    }

    /** The line of the sheet on which two points lie. */
    private static function shared(Spot $one, Spot $two): ?Line
    {
        foreach ([$one->one, $one->two] as $line) {
            foreach ([$two->one, $two->two] as $other) {
                if ($line->line !== null && $line->line === $other->line && $line->off === $other->off) {
                    return $line;
                }
            }
        }

        return null;
    }

    /** @return list<Sentence> faces that are folded alike against the same, together */
    private function folds(WorkStep $step): array
    {
        $alike = [];
        foreach ($step->folds() as $fold) {
            $alike["$fold->degrees $fold->onto"][] = $fold;
        }

        return array_values(array_map(function (array $folds): Sentence {
            $degrees = abs($folds[0]->degrees);
            $key = ($folds[0]->isMountain() ? 'fold.mountain' : 'fold.valley').($degrees === 180.0 ? '.flat' : '');

            return $this->say($key, [
                'faces' => $this->faces(array_map(fn (FoldOp $fold) => $fold->moves, $folds)), 'onto' => $this->words->sentence("face.{$folds[0]->onto}"), 'deg' => rtrim(rtrim(number_format($degrees, 1), '0'), '.'),
            ]);
        }, $alike));
    }

    /** @return list<Sentence> each thing that is put on, with its distances from two edges of the flat sheet */
    private function put(WorkStep $step): array
    {
        return array_values(array_map(fn (PutOp $op): Sentence => $this->say("put.$op->what", [
            'size' => $this->figure($op->size), 'face' => $this->words->sentence("face.$op->face"), 'left' => $this->figure($op->at->is->x), 'bottom' => $this->figure($op->at->is->y),
        ]), array_filter($step->ops, fn (Op $op) => $op instanceof PutOp)));
    }

    /** @return list<Sentence> what is glued to what; what is done alike to each copy, once */
    private function glued(WorkStep $step): array
    {
        $said = [];
        foreach ($step->glued() as $op) {
            $sentence = $this->join($op);
            $said[$sentence->plain()] ??= $sentence;
        }

        return array_values($said);
    }

    private function join(JoinOp $op): Sentence
    {
        $join = $op->join;
        $layer = $this->piece($join->face->piece)->added();
        if ($layer !== null && $layer->placings !== []) {
            return $this->laid($layer, $op);
        }
        $glued = $this->design->glued($op);
        [$wide, $high] = PartSize::smallest($glued->area->points);
        $isOther = ! $join->isWithinOnePiece();
        $parts = [$this->say('glue.join', [
            'glued' => $this->end($join->glued, $isOther), 'onto' => $this->end($join->partner(), $isOther), 'wide' => $this->figure($wide), 'high' => $this->figure($high),
        ])];
        if ($op->meet !== []) {
            $states = array_map(fn (JoinEnd $end) => $this->finished($end->piece), [$join->face, $join->onto]);
            $pairs = array_map(fn (array $pair) => $this->say('glue.meets', ['one' => $this->point($pair[0], $states[0]), 'two' => $this->point($pair[1], $states[1])]), $op->meet);
            $parts[] = $this->say('glue.meet', ['pairs' => Sentence::listed($this->words, $pairs)]);
        }
        $op->hiddenBy === null || $parts[] = $this->say('glue.hidden', ['face' => $this->words->sentence("face.$op->hiddenBy")]);

        return Sentence::joined($parts);
    }

    /** A layer on what it lies on: by what shows of that to the left of it and below, seen from the side it is glued to. */
    private function laid(AddedPiece $layer, JoinOp $op): Sentence
    {
        $placing = $layer->placings[$op->join->face->copy - 1];
        $isOutside = $placing->side === Side::Outside;
        $under = $this->piece($placing->piece)->whole();
        $panel = array_map($placing->here(...), $under->polygon($under->faceNamed($placing->face))->points);
        $shift = fn (callable $of, callable $reach): float => array_reduce($layer->outline->points, fn (?float $most, Point $p) => $most === null ? $of($p) : $reach($most, $of($p))) - array_reduce($panel, fn (?float $most, Point $p) => $most === null ? $of($p) : $reach($most, $of($p)));
        [$x, $y] = [fn (Point $p): float => $p->x, fn (Point $p): float => $p->y];
        $slots = [
            'onto' => $this->end($op->join->partner(), true, count(array_unique(array_map(fn (Placing $one) => "$one->piece/$one->face", $layer->placings))) === 1),
            'left' => $this->figure($isOutside ? -$shift($x, max(...)) : $shift($x, min(...))), 'bottom' => $this->figure($shift($y, min(...))),
        ];
        if ($layer->role === 'liner') {
            return $this->say('glue.liner', $slots + ['face' => $this->words->sentence("face.{$op->join->face->face}")]);
        }

        return $this->say('glue.layer', $slots);
    }

    /** @return list<Sentence> what a corner that is glued crooked costs: as much of the room as it is out, where there is room to lose */
    private function crooked(WorkStep $step): array
    {
        $spare = null;
        foreach ($step->with === With::WetGlue ? $this->design->fits : [] as $fit) {
            $room = $fit->have->minus($fit->bare);
            if (in_array($fit->id, ['card-fits-width', 'card-fits-height'], true) && $room->isPositive() && ($spare === null || $room->isLessThan($spare))) {
                $spare = $room;
            }
        }

        return $spare === null ? [] : [$this->say('glue.crooked', ['spare' => new Figure(LengthFormatter::for($this->design->request->system)->rounded($spare))])];
    }

    /** @param bool $isEach whether it is the same of every copy */
    private function end(JoinEnd $end, bool $isOther, bool $isEach = false): Sentence
    {
        $face = $this->words->sentence("face.$end->face");
        $side = $this->words->sentence("side.{$end->side->value}");
        if (! $isOther) {
            return $this->say('glue.end', ['side' => $side, 'face' => $face]);
        }
        $piece = $this->piece($end->piece);

        return $this->say('glue.end.of', ['side' => $side, 'face' => $face, 'piece' => PieceName::inSentence($this->words, $this->design, $end->piece).($piece->count > 1 && ! $isEach ? " $end->copy" : '')]);
    }

    /** The end of a cut along a line: the edge or the line it comes to. */
    private function along(Spot $spot, Line $on, SheetState $state): Sentence
    {
        $other = $spot->one->line === $on->line && $spot->one->off === $on->off ? $spot->two : $spot->one;

        return self::isEdge($other) ? $this->say('point.edge', ['edge' => $this->edge($other->edge ?? '')]) : $this->line($other, $state);
    }

    private static function isEdge(Line $line): bool
    {
        return $line->edge !== null && $line->at < 1e-9;
    }

    /** A point as a hand finds it. */
    private function point(Spot $spot, SheetState $state): Sentence
    {
        [$one, $two] = [$spot->one, $spot->two];
        if (self::isEdge($one) && self::isEdge($two)) {
            $corner = in_array($one->edge, ['left', 'right'], true) ? "$two->edge-$one->edge" : "$one->edge-$two->edge";

            return $this->say('point.corner', ['corner' => $this->words->sentence("corner.$corner")]);
        }
        if (! self::isEdge($one) && ! self::isEdge($two)) {
            return $this->say('point.crossing', ['one' => $this->line($one, $state), 'two' => $this->line($two, $state)]);
        }
        [$edge, $other] = self::isEdge($one) ? [$one, $two] : [$two, $one];
        $slots = ['edge' => $this->edge($edge->edge ?? ''), 'line' => $this->line($other, $state)];

        $isMark = $other->line !== null && ($state->lines[$other->line] ?? null)?->kind === LineKind::Mark;

        return $this->say(match (true) {
            $other->line === null || ($other->off !== null && ! PartSize::isHair($other)) => 'point.on-edge',
            $isMark => 'point.mark',
            default => 'point.end',
        }, $slots);
    }

    /** A line as a hand finds it; a hair beside another is said where that is cut out, and counts as that one. */
    private function line(Line $line, SheetState $state): Sentence
    {
        if ($line->edge !== null) {
            return $this->say('line.edge', ['at' => $this->figure($line->at), 'edge' => $this->edge($line->edge)]);
        }
        if ($line->line !== null) {
            $known = $this->known($line->line, $state);

            return $line->off === null || PartSize::isHair($line) ? $known : $this->say('line.beside', ['off' => $this->figure($line->off), 'line' => $known, 'towards' => $this->edge($line->towards ?? '')]);
        }
        if ($line->deg !== null && abs($line->deg) < 1e-9) {
            return $this->say('line.level', ['point' => $this->point($line->spots[0], $state)]);
        }
        if ($line->deg !== null) {
            return $this->say('line.through', ['point' => $this->point($line->spots[0], $state)]);
        }

        return $this->say('line.cut');
    }

    /** A line that was made before: a score by its reading, or by what it folds. */
    private function known(string $id, SheetState $state): Sentence
    {
        if ($this->words->has("line.fold.$id")) {
            return $this->fold($id);
        }
        $op = $state->lines[$id] ?? throw new LogicException("No line $id yet.");
        if ($op->on->edge === null) {
            return $this->say($op->kind === LineKind::Score ? 'line.slant' : 'line.cut');
        }
        $measure = $op->measure === null ? null : $this->piece($state->piece)->measures[$op->measure];

        return $this->say($op->kind === LineKind::Mark ? 'line.mark' : 'line.score', ['at' => $measure === null ? $this->figure($op->on->at) : new Figure($measure->text()), 'edge' => $this->edge($op->on->edge)]);
    }

    private function fold(string $crease): Sentence
    {
        return $this->say("line.fold.$crease");
    }

    /** A piece's sheet when all of its own steps are done. */
    private function finished(string $piece): SheetState
    {
        $state = null;
        foreach ($this->design->steps() as $i => $step) {
            $step->piece === $piece && $state = $this->before[$i]->after($step->ops);
        }

        return $state ?? throw new LogicException("Nothing is done to $piece.");
    }

    /**
     * Faces by their names; so many of one name by their number.
     *
     * @param list<string> $faces
     */
    private function faces(array $faces): string
    {
        $alike = [];
        foreach ($faces as $face) {
            $many = 'faces.'.preg_replace('/^.*-/', '', $face);
            $alike[$this->words->has($many) && count($faces) > 2 ? $many : $this->words->sentence("face.$face")][] = $face;
        }

        return $this->words->listed(array_map(
            fn (string $name, array $ids): string => ! str_starts_with($name, 'faces.') ? $name : (count($ids) > 1 ? $this->words->sentence($name, ['count' => count($ids)]) : $this->words->sentence("face.$ids[0]")),
            array_keys($alike), $alike,
        ));
    }

    public function pieceName(string $id): string
    {
        return PieceName::of($this->words, $this->design, $id);
    }

    /** Which of the trimmer's blades a step takes, where the piece is made with both. */
    private function blade(WorkStep $step): string
    {
        $hasBoth = in_array(ToolKind::TrimmerScore, array_map(fn (Measure $measure) => $measure->tool, $this->piece($step->piece)->measures), true);

        return match (true) {
            ! $hasBoth => '',
            $step->with === With::TrimmerScore => $this->words->sentence('step.blade.score'),
            $step->do === Deed::Cut => $this->words->sentence('step.blade.cut'),
            default => '',
        };
    }

    /** @return list<LineOp> */
    private function lines(WorkStep $step): array
    {
        return array_values(array_filter($step->ops, fn (Op $op) => $op instanceof LineOp));
    }

    private function figure(float $millimetres): Figure
    {
        return new Figure(FigureText::of($this->design->request->tools, $millimetres));
    }

    private function edge(string $edge): string
    {
        in_array($edge, self::EDGES, true) || throw new LogicException("$edge is no edge.");

        return $this->words->sentence("edge.$edge");
    }

    private function piece(string $id): Piece
    {
        return $this->design->piece($id) ?? throw new LogicException("There is no $id.");
    }

    /** @param array<string, string|Figure|Sentence> $slots */
    private function say(string $key, array $slots = []): Sentence
    {
        return Sentence::of($this->words, $key, $slots);
    }
}
