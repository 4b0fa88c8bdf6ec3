<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\Tips;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Spec\SizingRequest;
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
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use LogicException;

/**
 * The work on a square turned on its corner; advice is common practice, no source.
 *
 * Its lines go by the creases they make: the fold of each flap, and with a gusset that of the gusset too.
 */
final readonly class TurnedWork
{
    /** By the number of the side that lies at the punch: its edge, and the edges at its left and at its right end then. */
    private const SIDES = [1 => ['top', 'left', 'right'], 2 => ['left', 'bottom', 'top'], 3 => ['bottom', 'right', 'left'], 4 => ['right', 'top', 'bottom']];

    /** The turn clockwise that brings an edge to the punch above. */
    private const EDGE_UP = ['top' => 0.0, 'left' => 90.0, 'bottom' => 180.0, 'right' => -90.0];

    /** The turn clockwise that brings a corner to the fence on the left. */
    private const CORNER_LEFT = ['top-left' => -45.0, 'bottom-left' => 45.0, 'bottom-right' => 135.0, 'top-right' => -135.0];

    /** The two edges of the sheet that a flap's folds run to, and the corner its tip lies in. */
    private const EDGES = [Flap::LEFT => ['left', 'top'], Flap::RIGHT => ['right', 'bottom'], Flap::BOTTOM => ['left', 'bottom'], Flap::TOP => ['right', 'top']];

    private const TIPS = [Flap::LEFT => ['left', 'top'], Flap::RIGHT => ['right', 'bottom'], Flap::BOTTOM => ['left', 'bottom'], Flap::TOP => ['right', 'top']];

    /** The folds of the side flaps rise to the right, those of the others fall. */
    private const DEGREES = [Flap::LEFT => 45.0, Flap::RIGHT => 45.0, Flap::BOTTOM => 135.0, Flap::TOP => 135.0];

    /** By edge: the side flap and the end flap beside the corner of the face that lies there. */
    private const CORNERS = ['top' => [Flap::LEFT, Flap::TOP], 'left' => [Flap::LEFT, Flap::BOTTOM], 'bottom' => [Flap::RIGHT, Flap::BOTTOM], 'right' => [Flap::RIGHT, Flap::TOP]];

    /** Nearer to an edge than that, a point lies on it. */
    private const ON_EDGE_MM = 1e-6;

    private function __construct(private PieceFigures $piece, private SizingRequest $request, public TurnedLayout $layout, public Bench $bench, private bool $isOpenAbove)
    {
    }

    /** @param bool $isOpenAbove whether the top corner is left standing, and its fold not scored */
    public static function on(PieceFigures $piece, SizingRequest $request, bool $isOpenAbove = false): self
    {
        $layout = $piece->layout;
        $layout instanceof TurnedLayout || throw new LogicException("$piece->id is no square on its corner.");

        return new self($piece, $request, $layout, new Bench($piece->id, $layout->square->side, $layout->square->side), $isOpenAbove);
    }

    /**
     * Cut, punch or score with every turn, notches, tips.
     *
     * @return list<WorkStep>
     */
    public function upToFolding(): array
    {
        $advice = $this->isOpenAbove ? ['do-not-score-the-top'] : [];

        return [
            $this->step('cut', Deed::Cut, With::Trimmer, [GridWork::sheet($this->piece)], advice: ['try-on-plain-paper']),
            ...(TurnedMethod::isPunch($this->request) ? $this->punching($advice) : [...$this->scoring($advice), ...$this->notches()]),
            ...$this->squares(),
            ...$this->tips(),
        ];
    }

    /**
     * @param list<Op> $ops
     * @param list<non-empty-list<Op>> $or
     * @param list<string> $advice
     * @param list<string> $about
     */
    public function step(string $id, Deed $do, ?With $with, array $ops = [], float $turn = 0.0, ?string $fence = null, array $or = [], array $advice = [], array $about = []): WorkStep
    {
        return new WorkStep("{$this->piece->id}/$id", $do, $this->piece->id, $this->piece->count, $with, $turn, $fence, $ops, $or, $advice, $about);
    }

    /**
     * @param list<Join> $joins
     * @param list<string> $advice
     */
    public function glue(string $id, With $with, array $joins, array $advice = []): WorkStep
    {
        return $this->step($id, Deed::Glue, $with, array_map(fn (Join $join) => new JoinOp($join), $joins), advice: $advice);
    }

    /**
     * Every face named, and folded in the order of the flaps; with a gusset, each gusset before the flap that hangs on it.
     *
     * @param list<string> $flaps
     * @param list<string> $advice
     * @param string $id of the first of its folds, which names the front too; another's says more after it
     */
    public function fold(array $flaps, array $advice = [], string $id = 'fold', bool $isFirst = true): WorkStep
    {
        $square = $this->layout->square;
        $names = $isFirst ? [$this->name(Flap::FRONT, FaceRole::Panel, 0.0, 0.0)] : [];
        $folds = $gussets = [];
        foreach ($flaps as $flap) {
            $hinge = Flap::FRONT;
            $out = $this->halfFace($flap);
            if ($this->isDeep()) {
                $hinge = Flap::gusset($flap);
                $names[] = $this->named($hinge, FaceRole::Gusset, $flap, $out + $square->depth($flap) / 2);
                $folds[] = $this->foldOf($hinge, Flap::FRONT, 90.0, $hinge, $flap);
                $gussets[] = $hinge;
                $out += $square->depth($flap);
            }
            $names[] = $this->named($flap, FaceRole::Flap, $flap, $out + $this->layout->end($flap) / 10);
            $folds[] = $this->foldOf($flap, $hinge, $this->isDeep() ? 90.0 : 180.0, $flap, $flap);
        }
        if ($this->bench->knows(Tips::TOP)) {
            [$one, $two] = array_map(fn (string $edge): Spot => $this->tipEnd($this->bench->line(Tips::TOP), Flap::TOP, $edge)[0], self::TIPS[Flap::TOP]);
            $names[] = $this->named(Tips::TOP, FaceRole::Hem, Flap::TOP, $this->halfFace(Flap::TOP) + $square->depth(Flap::TOP) + ($this->layout->end(Flap::TOP) + $square->reach(Flap::TOP)) / 2);
            $folds[] = new FoldOp(180.0, [[Tips::TOP, $one, $two]], Tips::TOP, Flap::TOP);
        }
        if ($this->isDeep()) {
            foreach (['left' => [Flap::LEFT, -1], 'right' => [Flap::RIGHT, 1]] as $side => [$flap, $way]) {
                $names[] = $this->name("$side-tab", FaceRole::Tab, $way * ($square->width / 2 + 0.1 * $square->depth($flap)), -$square->height / 2 - 0.05 * min($square->depth(Flap::BOTTOM), $square->width / 2));
                $bottom = Flap::gusset(Flap::BOTTOM);
                $folds[] = new FoldOp(90.0, [[$bottom, $this->bench->at($flap, $bottom), $this->bench->at(Flap::gusset($flap), $bottom)]], "$side-tab", Flap::gusset($flap));
            }
        }

        return $this->step($id, Deed::Fold, With::BoneFolder, [...$names, ...$folds], advice: $advice, about: [...$gussets, ...$flaps]);
    }

    /**
     * Side after side, the sheet turned a quarter clockwise between; a look before the last side.
     *
     * @param list<string> $advice for the first
     * @return list<WorkStep>
     */
    private function punching(array $advice): array
    {
        $steps = [];
        $before = 0;
        foreach ($this->piece->measures as $i => $measure) {
            $side = $measure->side;
            if ($measure->kind !== MeasureKind::Punch || $side === null) {
                continue;
            }
            if ($side === 4 && $before !== 4) {
                $last = $steps[count($steps) - 1];
                $steps[] = $this->step('look', Deed::TryFit, null, turn: $last->turn, advice: ['before-the-last-score']);
            }
            $steps[] = $this->punch($i, $measure, $side, $side === $before, $before === 0 ? $advice : []);
            $before = $side;
        }

        return $steps;
    }

    /**
     * One punch: the notch, and both lines through its tip.
     *
     * @param bool $isSecond whether a notch was punched on this side before
     * @param list<string> $advice
     */
    private function punch(int $i, Measure $measure, int $side, bool $isSecond, array $advice): WorkStep
    {
        [$edge, $leftEnd, $rightEnd] = self::SIDES[$side];
        $deep = $this->bench->in($edge, $this->request->tools->notch->toMillimetres());
        $tip = $this->bench->at($deep, $this->bench->in($measure->from === 'left' ? $leftEnd : $rightEnd, $measure->at->toMillimetres()));
        $ops = $or = [];
        foreach ($measure->creases as $crease) {
            $flap = self::flapOf($crease);
            if ($this->isOpenAbove && $flap === Flap::TOP) {
                continue;
            }
            // The line there already, from the side before, shows where this tip must come to lie.
            if ($this->bench->knows($crease)) {
                $lined = $this->bench->at($crease, $deep);
                $or[] = [new LineOp($crease.Bench::AGAIN, LineKind::Score, Line::through($lined, self::DEGREES[$flap]), $lined, $this->bench->at($crease, $this->otherEdge($flap, $edge)))];
            }
            $id = $crease.($this->bench->knows($crease) ? Bench::AGAIN : '');
            $on = Line::through($tip, self::DEGREES[$flap]);
            $ops[] = $this->bench->draw(LineKind::Score, $id, $on, $tip, $this->bench->at($on, $this->otherEdge($flap, $edge)), $i);
        }
        $ops[] = $this->bench->away(Waste::Notch, ...$this->notchAt($tip, $measure->creases, $edge, $isSecond));

        return $this->step("punch/$edge".($isSecond ? '-second' : ''), Deed::Punch, With::PunchBoard, $ops, self::EDGE_UP[$edge], $edge, array_slice($or, 0, 1), $advice);
    }

    /**
     * Between both lines through a tip out to the edge; of the second of two that meet, only what the first has left.
     *
     * @param list<string> $creases
     * @return list<Spot>
     */
    private function notchAt(Spot $tip, array $creases, string $edge, bool $isSecond): array
    {
        // Corner up both lines are scored across; the punch has just made them.
        $through = fn (string $crease): Line => TurnedMethod::isPunch($this->request) ? Line::through($tip, self::DEGREES[self::flapOf($crease)]) : $this->bench->line($crease);
        [$one, $two] = array_map($through, $creases);
        if (! $isSecond) {
            return [$tip, $this->bench->at($one, $edge), $this->bench->at($two, $edge)];
        }
        // Its own line at the flap, its own at the gusset, and the first notch's line at its flap.
        [$own, $inner, $flap] = in_array($creases[0], self::CORNERS[$edge], true) ? [$one, $two, $creases[0]] : [$two, $one, $creases[1]];
        $other = self::CORNERS[$edge][$flap === self::CORNERS[$edge][0] ? 1 : 0];
        $meeting = $this->bench->at($own, $other);

        return $this->room($meeting, $edge) > self::ON_EDGE_MM
            ? [$tip, $this->bench->at($inner, $edge), $this->bench->at($other, $edge), $meeting]
            : [$tip, $this->bench->at($inner, $edge), $this->bench->at($own, $edge)];
    }

    /**
     * Corner after corner: opposite ones share their settings, half a turn between them, a quarter to the other diagonal.
     *
     * @param list<string> $advice for the first
     * @return list<WorkStep>
     */
    private function scoring(array $advice): array
    {
        $steps = [];
        $scores = array_filter($this->piece->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Score && $measure->creases !== [Tips::TOP]);
        // The last fold of the face, and with a gusset the one beside it.
        $together = $this->isDeep() ? 2 : 1;
        foreach (array_keys($scores) as $n => $i) {
            $measure = $scores[$i];
            $last = $steps[count($steps) - 1] ?? null;
            if ($n === count($scores) - $together && $last !== null) {
                $steps[] = $this->step('look', Deed::TryFit, null, turn: $last->turn, advice: ['before-the-last-score']);
            }
            $crease = $measure->creases[0];
            $on = $this->bench->corner($measure->from, $measure->at->toMillimetres(), $measure->standoff?->toMillimetres() ?? 0.0);
            $score = $this->bench->across(LineKind::Score, $crease, $on, ...self::EDGES[self::flapOf($crease)], measure: $i);
            $steps[] = $this->step("score/$crease", Deed::Score, With::ScoringBoard, [$score], self::CORNER_LEFT[$measure->from], $measure->from, advice: $n === 0 ? ['mark-the-middle-groove', ...$advice] : []);
        }

        return $steps;
    }

    /** @return list<WorkStep> a V at every corner of the face, between both scores out to the edge */
    private function notches(): array
    {
        $steps = [];
        foreach (self::CORNERS as $edge => [$side, $end]) {
            if ($this->isOpenAbove && $end === Flap::TOP) {
                continue;
            }
            $notch = fn (string $one, string $two, bool $isSecond): AwayOp => $this->bench->away(Waste::Notch, ...$this->notchAt($this->bench->at($one, $two), [$one, $two], $edge, $isSecond));
            $steps[] = $this->step("notch/$edge", Deed::CutAway, With::Scissors, $this->isDeep()
                ? [$notch($side, Flap::gusset($end), false), $notch(Flap::gusset($side), $end, true)]
                : [$notch($side, $end, false)]);
        }

        return $steps;
    }

    /** @return list<WorkStep> with a gusset: the little squares out where it opens, and cut free where they are to be tabs */
    private function squares(): array
    {
        if (! $this->isDeep()) {
            return [];
        }
        $bench = $this->bench;
        $steps = [];
        foreach (['top', 'right'] as $edge) {
            [$side, $end] = self::CORNERS[$edge];
            $steps[] = $this->step("square/$edge", Deed::CutAway, With::Scissors, [$bench->away(Waste::Corner, ...$this->cell([$side, Flap::gusset($side)], [$end, Flap::gusset($end)], $edge))], about: [Flap::gusset(Flap::TOP)]);
        }
        [$half, $depth] = [$this->layout->square->width / 2, $this->layout->square->depth(Flap::BOTTOM)];
        foreach (['left' => 'left', 'bottom' => 'right'] as $edge => $name) {
            $side = self::CORNERS[$edge][0];
            [$gusset, $bottom] = [Flap::gusset($side), Flap::gusset(Flap::BOTTOM)];
            $isLong = $depth > $half;
            // No longer than half the gusset it is glued to, where the other tab lies too.
            $end = $isLong ? $bench->beside($bottom, $half, 'bottom') : $bench->line(Flap::BOTTOM);
            $ops = $isLong ? [$bench->away(Waste::Corner, ...$this->cell([$side, $gusset], [Flap::BOTTOM, $end], $edge))] : [];
            $steps[] = $this->step("tab/$name", Deed::Slit, With::Scissors, [...$ops, $bench->draw(LineKind::Cut, "cut-$name", $bench->line($gusset), $bench->at($gusset, $end), $bench->at($gusset, $bottom))], about: ["$name-tab"]);
        }

        return $steps;
    }

    /** @return list<WorkStep> tips cut off straight where they must be, the others rounded */
    private function tips(): array
    {
        $steps = [];
        foreach ($this->piece->measures as $i => $measure) {
            if ($measure->creases === [Tips::TOP]) {
                $on = $this->bench->corner($measure->from, $measure->at->toMillimetres(), 0.0);
                [$one, $two] = [$this->tipEnd($on, Flap::TOP, self::TIPS[Flap::TOP][0]), $this->tipEnd($on, Flap::TOP, self::TIPS[Flap::TOP][1])];
                $score = $this->bench->draw(LineKind::Score, Tips::TOP, $on, $one[0], $two[0], $i);
                $steps[] = $this->step('score/top-tip', Deed::Score, With::ScoringBoard, [$score], self::CORNER_LEFT[$measure->from], $measure->from, about: [Flap::TOP]);
            } elseif ($measure->kind === MeasureKind::Trim) {
                $flap = $measure->creases[0];
                [$upright, $level] = self::TIPS[$flap];
                $on = $this->bench->corner($measure->from, $measure->at->toMillimetres(), 0.0);
                [$one, $two] = [$this->tipEnd($on, $flap, $upright), $this->tipEnd($on, $flap, $level)];
                $cut = $this->bench->draw(LineKind::Cut, "tip-$flap", $on, $one[0], $two[0], $i);
                $steps[] = $this->step("tip/$flap", Deed::CutAway, With::Trimmer, [$cut, $this->bench->away(Waste::Tip, ...$one, ...[$this->bench->at($upright, $level)], ...array_reverse($two))], about: [$flap]);
            }
        }
        $radius = self::rounding($this->layout, $this->request);
        foreach ($radius > 0.0 ? self::pointed($this->layout, $this->isOpenAbove) : [] as $flap) {
            $steps[] = $this->step("round/$flap", Deed::Round, With::CornerPunch, [RoundedCorner::away($this->bench, ...self::TIPS[$flap], radius: $radius)], about: [$this->isOpenAbove && $flap === Flap::TOP ? Flap::FRONT : $flap]);
        }

        return $steps;
    }

    /** @return list<string> flaps that end in a corner of the sheet */
    public static function pointed(TurnedLayout $layout, bool $isOpenAbove): array
    {
        return array_values(array_filter(array_keys(self::TIPS), fn (string $flap) => ($isOpenAbove && $flap === Flap::TOP) || $layout->end($flap) >= $layout->square->reach($flap)));
    }

    /** The radius of all rounded tips of a square: as its shortest side beside one has room for; 0 where none is rounded. */
    public static function rounding(TurnedLayout $layout, SizingRequest $request): float
    {
        $square = $layout->square;

        return RoundedCorner::radius($request, (min($square->width / 2 - abs($square->offAlong), $square->height / 2 - abs($square->offAcross))) * M_SQRT2);
    }

    /**
     * Where a cut across a tip comes out at an edge: there, or, where the flap's own side is nearer, on that and then along it to the edge.
     *
     * @return non-empty-list<Spot> from the cut on to the edge
     */
    private function tipEnd(Line $cut, string $flap, string $edge): array
    {
        [$corner, $end] = [$this->bench->at(...self::TIPS[$flap]), $this->bench->at($cut, $edge)];
        [$side, $other] = self::CORNERS[$edge];
        $beside = $flap === $side ? $other : $side;
        if ($this->isOpenAbove && $beside === Flap::TOP && ! $this->bench->knows($beside)) {
            return [$end];
        }
        $line = $this->bench->line($this->isDeep() ? Flap::gusset($beside) : $beside);
        $mouth = $this->bench->at($line, $edge);

        return $end->is->minus($corner->is)->length() < $mouth->is->minus($corner->is)->length() ? [$end] : [$this->bench->at($cut, $line), $mouth];
    }

    /**
     * The cell between two lines and two that cross them, as far as it lies on the sheet.
     *
     * @param array{Line|string, Line|string} $xs
     * @param array{Line|string, Line|string} $ys
     * @return non-empty-list<Spot>
     */
    private function cell(array $xs, array $ys, string $edge): array
    {
        $bench = $this->bench;
        $corners = [[$bench->at($xs[0], $ys[0]), $ys[0]], [$bench->at($xs[1], $ys[0]), $xs[1]], [$bench->at($xs[1], $ys[1]), $ys[1]], [$bench->at($xs[0], $ys[1]), $xs[0]]];
        $ring = [];
        foreach ($corners as $i => [$corner, $along]) {
            [$here, $there] = [$this->room($corner, $edge), $this->room($corners[($i + 1) % 4][0], $edge)];
            $here > self::ON_EDGE_MM && $ring[] = $corner;
            ($here > self::ON_EDGE_MM) !== ($there > self::ON_EDGE_MM) && $ring[] = $bench->at($along, $edge);
        }

        return $ring === [] ? throw new LogicException('Nothing of a cell lies on the sheet.') : $ring;
    }

    /** How far inside an edge a point lies. */
    private function room(Spot $spot, string $edge): float
    {
        return match ($edge) {
            'left' => $spot->is->x, 'right' => $this->bench->width - $spot->is->x, 'bottom' => $spot->is->y, default => $this->bench->height - $spot->is->y,
        };
    }

    /** A fold along a line from the score at one end of the face to that at the other, or to where it ends without one. */
    private function foldOf(string $moves, string $onto, float $degrees, string $line, string $flap): FoldOp
    {
        $isSide = in_array($flap, [Flap::LEFT, Flap::RIGHT], true);
        $ends = array_map(fn (string $end): string => $this->isDeep() ? Flap::gusset($end) : $end, $isSide ? [Flap::BOTTOM, Flap::TOP] : [Flap::LEFT, Flap::RIGHT]);
        $to = match (true) {
            $this->bench->knows($ends[1]) => $this->bench->at($line, $ends[1]),
            TurnedMethod::isPunch($this->request) => $this->tipAbove($flap),
            default => $this->bench->at($line, self::EDGES[$flap][$flap === Flap::LEFT ? 1 : 0]),
        };

        return new FoldOp($degrees, [[$line, $this->bench->at($line, $ends[0]), $to]], $moves, $onto);
    }

    /** The tip of the notch at the upper end of a side flap's fold. */
    private function tipAbove(string $flap): Spot
    {
        return $this->bench->at($flap, $this->bench->in($flap === Flap::LEFT ? 'top' : 'right', $this->request->tools->notch->toMillimetres()));
    }

    private function named(string $face, FaceRole $role, string $flap, float $out): NameOp
    {
        return match ($flap) {
            Flap::LEFT => $this->name($face, $role, -$out, 0.0), Flap::RIGHT => $this->name($face, $role, $out, 0.0),
            Flap::BOTTOM => $this->name($face, $role, 0.0, -$out), default => $this->name($face, $role, 0.0, $out),
        };
    }

    private function name(string $face, FaceRole $role, float $along, float $across): NameOp
    {
        $point = $this->layout->square->point($along, $across);

        return $this->bench->name($face, $role, $point->x, $point->y);
    }

    private function halfFace(string $flap): float
    {
        return (in_array($flap, [Flap::LEFT, Flap::RIGHT], true) ? $this->layout->square->width : $this->layout->square->height) / 2;
    }

    private function isDeep(): bool
    {
        return $this->layout->square->depth(Flap::TOP) > 0.0;
    }

    private function otherEdge(string $flap, string $edge): string
    {
        [$one, $two] = self::EDGES[$flap];

        return $one === $edge ? $two : $one;
    }

    private static function flapOf(string $crease): string
    {
        return str_replace('-gusset', '-flap', $crease);
    }
}
