<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\PutOp;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\RingKind;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\Course;
use Gimbo\Core\Telling\FigureText;
use Gimbo\Core\Telling\PartSize;
use Gimbo\Core\Telling\SheetState;
use LogicException;

/**
 * A step as a picture, from the steps' data alone: the sheet as it lies on its tool, what was done before it and nothing later, what is
 * done now, what comes off shaded while it is still there, and every figure of the step.
 *
 * SVG with colours for paper; each shape has a class, so that a screen may give it others.
 */
final class StepPicture
{
    private const WIDE = 760.0;

    private const HIGH = 560.0;

    private const FENCE = 26.0;

    /** Nearer than that, two places are one to the eye. */
    private const SAME_PLACE = 60.0;

    private const GAP = 8.0;

    private const BIG = 40.0;

    private const SMALL = 24.0;

    /** What is less of the sheet than that is drawn close up, so large. */
    private const SMALL_SHARE = 0.4;

    private const CLOSE = 520.0;

    /** Between two sheets that are joined. */
    private const BESIDE = 120.0;

    /** What a character of a figure takes, in shares of its size. */
    private const CHARACTER = 0.56;

    /** Class, and what it looks like on paper. */
    private const LOOKS = [
        'sheet' => 'fill="#ffffff" stroke="none"', 'edge' => 'fill="none" stroke="#14303b" stroke-width="3"', 'past' => 'fill="none" stroke="#8a9a9a" stroke-width="2" stroke-dasharray="10,7"',
        'now' => 'fill="none" stroke="#0b5f75" stroke-width="6"', 'off' => 'fill="#f3c9b8" stroke="none"', 'lit' => 'fill="#cfe6ec" stroke="none"', 'fence' => 'fill="#8a9a9a" stroke="none"', 'frame' => 'fill="none" stroke="#0b5f75" stroke-width="4"',
        'tick' => 'fill="none" stroke="#8a9a9a" stroke-width="1.5"', 'valley' => 'fill="none" stroke="#0b6e62" stroke-width="5" stroke-dasharray="18,10"', 'mountain' => 'fill="none" stroke="#7d2c6c" stroke-width="5" stroke-dasharray="26,8,5,8"',
        'glue' => 'fill="#bcd9b0" stroke="none"', 'there' => 'fill="none" stroke="#4d7a3a" stroke-width="3" stroke-dasharray="4,6"', 'span' => 'fill="none" stroke="#0b5f75" stroke-width="2"',
        'figure' => 'fill="#0b5f75"', 'note' => 'fill="#55666b"', 'ruler' => 'fill="#ffffff"',
    ];

    /** @var list<string> */
    private array $shapes = [];

    /** @var list<array{float, float, float, float, string}> boxes that text stands in, with class and text */
    private array $taken = [];

    /** @var list<array{string, float, float}> what is labelled, by class and text, and where */
    private array $labelled = [];

    private float $cos;

    private float $sin;

    private float $scale = 1.0;

    /** @var array{float, float} what is taken off a turned point so that the sheet begins at nought */
    private array $origin = [0.0, 0.0];

    /** @var array{float, float, float, float}|null what figures stand in, where a part is drawn close up */
    private ?array $within = null;

    /** @var array{float, float, float, float} of all that is drawn */
    private array $bounds = [INF, INF, -INF, -INF];

    /** The sheet that is drawn now, its piece, and how far to the right it lies, in pixels. */
    private SheetState $before;

    private string $pieceId;

    private float $aside = 0.0;

    /** @param array<string, SheetState> $sheets every piece's before the step */
    private function __construct(private readonly Design $design, private readonly WorkStep $step, private readonly array $sheets, private readonly bool $isLeftHanded, private readonly float $lettering)
    {
        [$this->pieceId, $this->before] = [$step->piece, $sheets[$step->piece]];
        $isOnFence = $step->fence !== null && $step->with !== With::PunchBoard;
        $turn = deg2rad($step->turn + ($isLeftHanded && $isOnFence ? 180.0 : 0.0));
        [$this->cos, $this->sin] = [cos($turn), sin($turn)];
    }

    /**
     * Every step of an order.
     *
     * @param list<int> $order indexes of the design's steps
     * @param float $lettering how much larger figures are written, for a picture that is shown small
     * @return array<int, string> SVG by index
     */
    public static function all(Design $design, array $order, bool $isLeftHanded = false, float $lettering = 1.0): array
    {
        $pictures = [];
        foreach (Course::ofAll($design, $order) as $i => $sheets) {
            $pictures[$i] = (new self($design, $design->steps()[$i], $sheets, $isLeftHanded, $lettering))->drawn();
        }

        return $pictures;
    }

    private function drawn(): string
    {
        [$w, $h] = [$this->before->width, $this->before->height];
        $corners = array_map($this->turned(...), [new Point(0, 0), new Point($w, 0), new Point($w, $h), new Point(0, $h)]);
        [$xs, $ys] = [array_column($corners, 0), array_column($corners, 1)];
        $this->origin = [min($xs), min($ys)];
        $partner = $this->partner();
        $other = $partner === null ? [0.0, 0.0] : [$this->sheets[$partner]->width, $this->sheets[$partner]->height];
        $this->scale = min((self::WIDE - ($partner === null ? 0.0 : self::BESIDE)) / (max($xs) - min($xs) + $other[0]), self::HIGH / max(max($ys) - min($ys), $other[1]));
        $near = $this->near(max($xs) - min($xs), max($ys) - min($ys));
        if ($near !== null) {
            return $this->closeUp($near);
        }
        [$wide, $high] = [(max($xs) - min($xs)) * $this->scale, (max($ys) - min($ys)) * $this->scale];
        $this->grow(-2, -2);
        $this->grow($wide + 2, $high + 2);

        $measure = $this->reading();
        $isTool = in_array($this->step->do, [Deed::Score, Deed::Punch], true) && $this->step->fence !== null;
        $isTool && $this->fence($wide, $high, $measure);
        $this->sheet();
        $this->step->do === Deed::Cut && $this->cut($wide, $high);
        $this->done();
        $this->rail($high);
        $this->step->do === Deed::TryFit && $this->held();
        $this->meets(0);
        $isTool && $measure !== null && $this->readingAt($measure, $wide, $high);
        $this->figures();
        if ($partner !== null) {
            $this->beside($partner, $wide + self::BESIDE);
        }

        return $this->svg();
    }

    /**
     * What a small cut is about, with room round it: left, top, right and bottom of it, turned, mm; null where the whole sheet shows it.
     *
     * @return array{float, float, float, float}|null
     */
    private function near(float $wide, float $high): ?array
    {
        if (! in_array($this->step->do, [Deed::CutAway, Deed::Slit, Deed::Round], true) || $this->railCut() !== null) {
            return null;
        }
        $points = [];
        foreach ($this->step->ops as $op) {
            match (true) {
                $op instanceof AwayOp => array_push($points, ...$op->ring->points),
                $op instanceof LineOp => array_push($points, $op->from->is, $op->to->is),
                default => null,
            };
        }
        $at = array_map($this->turned(...), $points);
        [$xs, $ys] = [array_column($at, 0), array_column($at, 1)];
        if ($xs === [] || $ys === []) {
            return null;
        }
        $size = max(max($xs) - min($xs), max($ys) - min($ys));
        if ($size > self::SMALL_SHARE * max($wide, $high)) {
            return null;
        }
        $room = max($size * 0.45, 6.0);

        return [min($xs) - $room, min($ys) - $room, max($xs) + $room, max($ys) + $room];
    }

    /**
     * The part of the sheet where something small is cut, and beside it the whole sheet with that part marked.
     *
     * @param array{float, float, float, float} $near
     */
    private function closeUp(array $near): string
    {
        [$left, $top, $right, $low] = $near;
        [$scale, $origin] = [$this->scale, $this->origin];
        $this->scale = min(self::CLOSE / ($right - $left), self::CLOSE / ($low - $top));
        $this->origin = [$left, $top];
        [$wide, $high] = [($right - $left) * $this->scale, ($low - $top) * $this->scale];
        $this->bounds = [-2.0, -2.0, $wide + 2, $high + 2];
        $this->within = [0.0, 0.0, $wide, $high];
        $this->sheet();
        $this->done();
        $clipped = implode('', $this->shapes);
        $this->shapes = [];
        $this->figures();
        $figures = $this->shapes;

        // The whole sheet, a third as large.
        $this->shapes = [];
        $this->within = null;
        [$this->scale, $this->origin] = [$scale / 3, $origin];
        $this->aside = $wide + 40.0;
        $this->sheet();
        $this->box('frame', $this->aside + ($left - $origin[0]) * $this->scale, ($top - $origin[1]) * $this->scale, ($right - $left) * $this->scale, ($low - $top) * $this->scale);
        $this->grow($this->aside + self::WIDE / 3 + 4, self::HIGH / 3 + 4);

        array_unshift($this->shapes, $clipped);
        array_push($this->shapes, ...$figures);

        return $this->svg();
    }

    /** What is done in the step, over the sheet as it was. */
    private function done(): void
    {
        foreach ($this->step->ops as $op) {
            match (true) {
                $op instanceof AwayOp => $this->away($op),
                $op instanceof JoinOp => $this->joined($op),
                $op instanceof PutOp => $this->put($op),
                default => null,
            };
        }
        foreach ($this->step->ops as $op) {
            match (true) {
                $op instanceof LineOp => $this->line($op),
                $op instanceof FoldOp => $this->fold($op),
                default => null,
            };
        }
    }

    /** The cut that is made along the trimmer's rail. */
    private function railCut(): ?LineOp
    {
        foreach ($this->step->ops as $op) {
            if ($op instanceof LineOp && $op->on->meets !== null) {
                return $op;
            }
        }

        return null;
    }

    /** The rail, upright along a slanted cut, and how far beside it the corner lies. */
    private function rail(float $high): void
    {
        $cut = $this->railCut();
        if ($cut === null || $cut->measure === null) {
            return;
        }
        [$x] = $this->px($cut->from->is);
        $this->box('fence', $this->isLeftHanded ? $x - 14 : $x + 4, -24.0, 10.0, $high + 48);
        $this->grow($x, -26.0);
        $this->grow($x, $high + 26);
        $corner = new Point(str_ends_with((string) $cut->on->corner, 'right') ? $this->before->width : 0.0, str_starts_with((string) $cut->on->corner, 'top') ? $this->before->height : 0.0);
        $foot = $cut->on->through->plus($cut->on->along->times($corner->minus($cut->on->through)->dot($cut->on->along)));
        $this->span($foot, $corner, $this->piece()->measures[$cut->measure]->text());
    }

    /** The other piece of a join, where there is one. */
    private function partner(): ?string
    {
        foreach ($this->step->glued() as $op) {
            if (! $op->join->isWithinOnePiece()) {
                return $op->join->face->piece === $this->step->piece ? $op->join->onto->piece : $op->join->face->piece;
            }
        }

        return null;
    }

    /** The partner's sheet to the right, as it is by now, and the places of it that the own ones come to lie on. */
    private function beside(string $piece, float $aside): void
    {
        [$this->pieceId, $this->before, $this->aside] = [$piece, $this->sheets[$piece], $aside];
        $this->origin = [0.0, -$this->before->height];
        $this->grow($aside - 2, -2);
        $this->grow($aside + $this->before->width * $this->scale + 2, $this->before->height * $this->scale + 2);
        $this->sheet();
        $this->meets(1);
        foreach ($this->step->glued() as $op) {
            foreach ($op->meet as $pair) {
                foreach ([$pair[1]->one, $pair[1]->two] as $line) {
                    $this->place($pair[1], $line, $this->before->lines);
                }
            }
        }
    }

    /** What comes to lie on what, by one number on both sheets. */
    private function meets(int $which): void
    {
        $number = 0;
        foreach ($this->step->glued() as $op) {
            foreach ($op->meet as $pair) {
                $number++;
                [$x, $y] = $this->px($pair[$which]->is);
                $this->shapes[] = sprintf('<circle class="sp-figure" cx="%.1F" cy="%.1F" r="12" %s/>', $x, $y, self::LOOKS['figure']);
                $this->shapes[] = sprintf('<text x="%.1F" y="%.1F" font-size="17" font-weight="600" text-anchor="middle" class="sp-ruler" %s>%d</text>', $x, $y + 6, self::LOOKS['ruler'], $number);
                $this->taken[] = [$x - 14, $y - 14, $x + 14, $y + 14, ''];
                $this->grow($x - 16, $y - 16);
                $this->grow($x + 16, $y + 16);
            }
        }
    }

    /** The sheet as it is before the step, its scores pale. */
    private function sheet(): void
    {
        $rings = [[new Point(0, 0), new Point($this->before->width, 0), new Point($this->before->width, $this->before->height), new Point(0, $this->before->height)], ...array_map(fn (AwayOp $away) => $away->ring->points, $this->before->away)];
        $path = implode(' ', array_map(fn (array $ring) => 'M'.implode(' L', $this->corners($ring)).' Z', array_filter($rings, fn (array $ring) => $this->corners($ring) !== [])));
        $isCut = $this->step->do === Deed::Cut;
        $this->shapes[] = '<path class="sp-'.($isCut ? 'lit' : 'sheet').'" fill-rule="evenodd" d="'.$path.'" '.self::LOOKS[$isCut ? 'lit' : 'sheet'].'/>';
        if (! $isCut) {
            foreach ($this->before->lines as $line) {
                // From the other side's punch the same line once more.
                if (str_ends_with($line->id, Bench::AGAIN)) {
                    continue;
                }
                foreach ($line->kind === LineKind::Mark ? $this->ticks($line) : $this->before->onPaper($line->from->is, $line->to->is) as $part) {
                    [$from, $to] = is_array($part) ? $part : [$part->from, $part->to];
                    $this->stroke($line->kind === LineKind::Cut ? 'edge' : 'past', $from, $to);
                }
            }
        }
        foreach ($this->before->edges() as $edge) {
            $this->stroke($isCut ? 'now' : 'edge', $edge->from, $edge->to);
        }
    }

    /** Which side of the sheet is how long. */
    private function cut(float $wide, float $high): void
    {
        ['width' => $width, 'height' => $height] = $this->piece()->figures->cutText();
        $this->text($wide / 2, $high + self::BIG * $this->lettering, $width, self::BIG, 'figure', 'middle');
        $this->text($wide + 14, $high / 2 + self::BIG * $this->lettering / 3, $height, self::BIG, 'figure', 'start');
    }

    private function line(LineOp $op): void
    {
        if ($op->kind === LineKind::Mark) {
            foreach ($this->ticks($op) as [$from, $to]) {
                $this->stroke('now', $from, $to);
            }

            return;
        }
        foreach ($this->before->onPaper($op->from->is, $op->to->is) as $part) {
            $this->stroke('now', $part->from, $part->to);
        }
    }

    /**
     * A pencil mark: its two ends, not the whole line.
     *
     * @return list<array{Point, Point}>
     */
    private function ticks(LineOp $op): array
    {
        $way = $op->to->is->minus($op->from->is);
        $tick = $way->times(min(18.0 / $this->scale / max($way->length(), 1e-9), 0.4));

        return [[$op->from->is, $op->from->is->plus($tick)], [$op->to->is->minus($tick), $op->to->is]];
    }

    /** Shaded while it is still there, the cuts that free it in full. */
    private function away(AwayOp $op): void
    {
        $this->ring('off', $op->ring->points);
        foreach ($this->before->cuts($op) as $path) {
            $from = $path->from->is;
            foreach ($path->to as $to) {
                foreach ($to instanceof Spot ? [$to->is] : $to->points($from) as $next) {
                    $this->stroke('now', $from, $next);
                    $from = $next;
                }
            }
        }
    }

    private function fold(FoldOp $op): void
    {
        foreach ($op->along as [, $from, $to]) {
            $this->stroke($op->isMountain() ? 'mountain' : 'valley', $from->is, $to->is);
        }
    }

    /** What gets the glue, and where on the same sheet it comes to lie. */
    private function joined(JoinOp $op): void
    {
        $glued = $this->design->glued($op);
        if ($op->join->face->piece === $this->step->piece) {
            $this->ring('glue', $glued->area->points);
        }
        $glued->there === [] || $this->ring('there', $glued->there);
    }

    private function put(PutOp $op): void
    {
        [$x, $y] = $this->px($op->at->is);
        $this->shapes[] = sprintf('<circle class="sp-now" cx="%.1F" cy="%.1F" r="%.1F" %s/>', $x, $y, $op->size / 2 * $this->scale, self::LOOKS['now']);
    }

    private function held(): void
    {
        $contents = $this->piece()->contents();
        $contents === null || $this->ring('lit', $contents->points);
    }

    /** A fence on the left and above, or the punch above, with the ruler that is read there. */
    private function fence(float $wide, float $high, ?Measure $measure): void
    {
        $isPunch = $this->step->with === With::PunchBoard;
        $standoff = ($measure?->standoff?->toMillimetres() ?? 0.0) * $this->scale;
        $isRight = $this->isLeftHanded && ! $isPunch;
        $side = $isRight ? $wide + self::GAP / 2 + $standoff : -self::GAP / 2 - self::FENCE - $standoff;
        $top = -self::GAP / 2 - self::FENCE - ($isPunch ? 0.0 : $standoff);
        $isPunch || $this->box('fence', $side, $top, self::FENCE, $high + self::FENCE + self::GAP + $standoff);
        $this->box('fence', min($side, -self::FENCE), $top, $wide + self::FENCE + self::GAP + $standoff, self::FENCE);
        $unit = $measure?->scale->unit === Unit::Inch ? 25.4 : 10.0;
        // The ruler begins at the fence; at the punch at the end that is read from.
        $isFromRight = $isRight || ($isPunch && $measure?->from === 'right');
        $begin = $isFromRight ? $wide + ($isPunch ? 0.0 : $standoff) : ($isPunch ? 0.0 : -$standoff);
        $way = $isFromRight ? -1 : 1;
        $every = $wide / ($unit * $this->scale) > 16 ? 5 : 1;
        for ($i = 0; $i * $unit / 2 * $this->scale <= $wide + $standoff + 1; $i++) {
            $x = $begin + $way * $i * $unit / 2 * $this->scale;
            $isWhole = $i % 2 === 0;
            $this->shapes[] = $this->tick($x, $top, $isWhole ? 12.0 : 7.0);
            $isWhole && ($i / 2) % $every === 0 && $i > 0 && $this->shapes[] = sprintf('<text x="%.1F" y="%.1F" font-size="17" text-anchor="middle" class="sp-ruler" %s>%d</text>', $x, $top + self::FENCE - 7, self::LOOKS['ruler'], $i / 2);
        }
        $this->grow(min($side, -self::FENCE) - 2, $top - 14);
        $this->grow($isRight ? $side + self::FENCE + 2 : $wide, $high);
    }

    /** The figure over the ruler, and the line down to what is scored or punched there. */
    private function readingAt(Measure $measure, float $wide, float $high): void
    {
        $isPunch = $this->step->with === With::PunchBoard;
        $standoff = $isPunch ? 0.0 : ($measure->standoff?->toMillimetres() ?? 0.0) * $this->scale;
        $isFromRight = $isPunch ? $measure->from === 'right' : $this->isLeftHanded;
        $at = $measure->at->toMillimetres() * $this->scale;
        $x = $isFromRight ? $wide + $standoff - $at : $at - $standoff;
        $top = -self::GAP / 2 - self::FENCE - $standoff;
        $this->shapes[] = sprintf('<polygon class="sp-figure" points="%.1F,%.1F %.1F,%.1F %.1F,%.1F" %s/>', $x - 11, $top - 34, $x + 11, $top - 34, $x, $top - 14, self::LOOKS['figure']);
        $this->text($x, $top - 44, $measure->text(), self::BIG, 'figure', 'middle');
        if ($measure->groove !== null) {
            $groove = $measure->groove->toMillimetres() * $this->scale - $standoff;
            $groove = $this->isLeftHanded ? $wide - $groove : $groove;
            $this->shapes[] = sprintf('<line class="sp-past" x1="%.1F" y1="%.1F" x2="%1$.1F" y2="%3$.1F" %4$s/>', $groove, $top + self::FENCE, $high, self::LOOKS['past']);
            $this->text($groove, $high + self::SMALL * $this->lettering + 6, $measure->text($measure->groove), self::SMALL, 'note', 'middle');
        }
    }

    /** What else has a figure in this step: parts that come off, radii, places beside a line or an edge, and the scores it is found by. */
    private function figures(): void
    {
        $known = [...$this->before->lines];
        foreach ($this->step->ops as $op) {
            $op instanceof LineOp && $known[$op->id] = $op;
        }
        $isReading = in_array($this->step->do, [Deed::Score, Deed::Punch], true) && $this->step->fence !== null;
        foreach ($this->step->ops as $op) {
            if ($op instanceof AwayOp && $this->step->do !== Deed::Punch) {
                $this->sizes($op);
            }
            if ($op instanceof LineOp && $op->measure !== null && ! $isReading && $op->on->meets === null) {
                $this->label($op->from->is->plus($op->to->is)->times(0.5), $this->piece()->measures[$op->measure]->text(), 'figure');
            }
            if ($op instanceof JoinOp) {
                $this->strip($op);
            }
            if ($op instanceof PutOp) {
                $this->label($op->at->is, FigureText::of($this->design->request->tools, $op->size), 'figure');
            }
            if (! $isReading) {
                foreach ($this->spots($op) as $spot) {
                    foreach ([$spot->one, $spot->two] as $line) {
                        $this->place($spot, $line, $known);
                    }
                }
                $op instanceof LineOp && $op->on->line !== null && $this->reference($op->on->line, $known);
            }
        }
    }

    /** @return list<Spot> the points of an op that a hand finds */
    private function spots(object $op): array
    {
        return match (true) {
            $op instanceof LineOp && $op->kind !== LineKind::Mark => [$op->from, $op->to, ...$op->on->spots],
            $op instanceof AwayOp => $this->cornersOf($op),
            $op instanceof PutOp => [$op->at],
            $op instanceof JoinOp => array_map(fn (array $pair): Spot => $pair[$op->join->face->piece === $this->step->piece ? 0 : 1], $op->meet),
            default => [],
        };
    }

    /** @return list<Spot> the points by which what comes off is found: its corners; of an opening its middle, or its lower left corner, as its words say */
    private function cornersOf(AwayOp $op): array
    {
        if ($this->isOuterEdge($op)) {
            return [];
        }
        $kind = RingKind::of($op->ring);
        if ($op->what !== Waste::Opening || $kind === RingKind::Corners) {
            return $op->ring->corners();
        }
        [$xs, $ys] = [array_map(fn (Point $p) => $p->x, $op->ring->points), array_map(fn (Point $p) => $p->y, $op->ring->points)];
        $isByMiddle = in_array($kind, [RingKind::Circle, RingKind::Oval], true);
        [$left, $right, $low, $high] = [min([INF, ...$xs]), max([-INF, ...$xs]), min([INF, ...$ys]), max([-INF, ...$ys])];
        [$x, $y] = $isByMiddle ? [($left + $right) / 2, ($low + $high) / 2] : [$left, $low];
        [$width, $height] = [$this->before->width, $this->before->height];

        return [Spot::crossing(Line::fromEdge('left', $x, $width, $height), Line::fromEdge('bottom', $y, $width, $height))];
    }

    /** What is cut round a piece that is no rectangle, said by its shape alone. */
    private function isOuterEdge(AwayOp $op): bool
    {
        return $this->piece()->isAdded() && in_array($op->what, [Waste::Round, Waste::Taper], true);
    }

    /**
     * The figure by which a point is found along one of its lines.
     *
     * @param array<string, LineOp> $known
     */
    private function place(Spot $spot, Line $line, array $known): void
    {
        if ($line->line !== null) {
            $this->reference($line->line, $known);
            if ($line->off !== null) {
                // From the line it lies beside, square to that.
                $on = ($known[$line->line] ?? throw new LogicException("No line $line->line."))->on;
                $foot = $on->through->plus($on->along->times($spot->is->minus($on->through)->dot($on->along)));
                $this->span($foot, $spot->is, FigureText::of($this->design->request->tools, $line->off));
            }
        } elseif ($line->edge !== null && $line->at > 1e-9) {
            $foot = match ($line->edge) {
                'left' => new Point(0, $spot->is->y), 'right' => new Point($this->before->width, $spot->is->y),
                'bottom' => new Point($spot->is->x, 0), default => new Point($spot->is->x, $this->before->height),
            };
            $this->span($foot, $spot->is, FigureText::of($this->design->request->tools, $line->at));
        }
    }

    /** @param array<string, LineOp> $known */
    private function reference(string $id, array $known): void
    {
        $line = $known[$id] ?? throw new LogicException("No line $id.");
        if ($line->measure !== null && $line->on->edge !== null) {
            // Its end that is in view, where only a part of the sheet is.
            [$x, $y] = $this->px($line->from->is);
            $isInView = $this->within !== null && $x > -1 && $y > -1 && $x < $this->within[2] + 1 && $y < $this->within[3] + 1;
            $this->label($isInView ? $line->from->is : $line->to->is, $this->piece()->measures[$line->measure]->text(), 'note');
        }
    }

    /** How large a part is that comes off: a corner's sides, a wedge's mouth, a radius. */
    private function sizes(AwayOp $op): void
    {
        $ring = $op->ring->points;
        $text = fn (float $millimetres): string => FigureText::of($this->design->request->tools, $millimetres);
        $middle = array_reduce($ring, fn (Point $sum, Point $p) => $sum->plus($p->times(1 / count($ring))), new Point(0, 0));
        $isRound = $op->what === Waste::Opening && RingKind::of($op->ring) === RingKind::Circle;
        if ($isRound || $this->isOuterEdge($op)) {
            $wide = $isRound ? PartSize::of($op, $this->before, $this->piece()->figures->layout)[0] : $this->before->width;
            $op === $this->step->ops[0] && $this->label($isRound ? $middle : new Point($this->before->width / 2, $this->before->height / 2), $text($wide).($isRound || abs($this->before->width - $this->before->height) < 1e-6 ? '' : ' × '.$text($this->before->height)), 'figure');

            return;
        }
        foreach ($op->ring->arcs() as $arc) {
            $this->label($middle, $text($arc->radius), 'figure');
        }
        if ($op->what === Waste::Wedge) {
            $this->label($ring[1]->plus($ring[2])->times(0.5), $text($ring[2]->minus($ring[1])->length()), 'figure');
        } elseif ($op->what === Waste::Corner || $op->what === Waste::Opening) {
            [$wide, $high] = PartSize::of($op, $this->before, $this->piece()->figures->layout);
            $this->label($middle, $text($wide).' × '.$text($high), 'figure');
        }
    }

    private function strip(JoinOp $op): void
    {
        $glued = $this->design->glued($op);
        [$wide, $high] = PartSize::smallest($glued->area->points);
        $text = fn (float $millimetres): string => FigureText::of($this->design->request->tools, $millimetres);
        $n = count($glued->area->points);
        $middle = array_reduce($glued->area->points, fn (Point $sum, Point $p) => $sum->plus($p->times(1 / $n)), new Point(0, 0));
        $this->label($middle, $text($wide).' × '.$text($high), 'figure');
    }

    /** A short distance, from where it is measured to the point. */
    private function span(Point $from, Point $to, string $text): void
    {
        $this->stroke('span', $from, $to);
        $this->label($to, $text, 'figure');
    }

    /** The step's own reading on the tool. */
    private function reading(): ?Measure
    {
        return $this->piece()->measures[$this->step->measures[0] ?? -1] ?? null;
    }

    private function piece(): Piece
    {
        return $this->design->piece($this->pieceId) ?? throw new LogicException("There is no $this->pieceId.");
    }

    /** A figure beside a place on the sheet, clear of those that stand there already; the same one near by stands once. */
    private function label(Point $at, string $text, string $class): void
    {
        [$x, $y] = $this->px($at);
        if ($this->within !== null) {
            [$x, $y] = [max($this->within[0], min($this->within[2], $x)), max($this->within[1], min($this->within[3], $y))];
        }
        // The same figure at the same place stands once.
        foreach ($this->labelled as [$known, $px, $py]) {
            if ($known === "$class $text" && hypot($px - $x, $py - $y) < self::SAME_PLACE) {
                return;
            }
        }
        $this->labelled[] = ["$class $text", $x, $y];
        $size = self::SMALL * $this->lettering;
        $half = mb_strlen($text) * $size * self::CHARACTER / 2;
        foreach ([[0, -8], [0, $size + 6], [$half + 12, $size / 3], [-$half - 12, $size / 3], [0, -$size - 14], [0, 2 * $size + 12], [$half + 12, -$size], [-$half - 12, -$size], [$half + 12, 1.6 * $size], [-$half - 12, 1.6 * $size], [0, -2 * $size - 20], [0, 3 * $size + 18]] as [$dx, $dy]) {
            $box = [$x + $dx - $half, $y + $dy - $size, $x + $dx + $half, $y + $dy + 4];
            if (! $this->isTaken($box)) {
                $this->text($x + $dx, $y + $dy, $text, self::SMALL, $class, 'middle');

                return;
            }
        }
        $this->text($x, $y, $text, self::SMALL, $class, 'middle');
    }

    /** @param array{float, float, float, float} $box */
    private function isTaken(array $box): bool
    {
        foreach ($this->taken as $other) {
            if ($box[0] < $other[2] && $other[0] < $box[2] && $box[1] < $other[3] && $other[1] < $box[3]) {
                return true;
            }
        }

        return false;
    }

    private function text(float $x, float $y, string $text, float $size, string $class, string $anchor): void
    {
        $size *= $this->lettering;
        $wide = mb_strlen($text) * $size * self::CHARACTER;
        $left = $anchor === 'middle' ? $x - $wide / 2 : $x;
        $key = "$class $text";
        foreach ($this->taken as $box) {
            if ($box[4] === $key && abs($box[0] - $left) < 90 && abs($box[3] - $y) < 60) {
                return;
            }
        }
        $this->taken[] = [$left, $y - $size, $left + $wide, $y + 4, $key];
        $this->grow($left, $y - $size);
        $this->grow($left + $wide, $y + 8);
        $this->shapes[] = sprintf('<text x="%.1F" y="%.1F" font-size="%d" font-weight="600" text-anchor="%s" class="sp-%s" %s>%s</text>', $x, $y, $size, $anchor, $class, self::LOOKS[$class], htmlspecialchars($text));
    }

    private function stroke(string $class, Point $from, Point $to): void
    {
        $ends = $this->clipped([$this->px($from), $this->px($to)], false);
        if (count($ends) < 2) {
            return;
        }
        [[$x1, $y1], [$x2, $y2]] = $ends;
        $this->shapes[] = sprintf('<line class="sp-%s" x1="%.2F" y1="%.2F" x2="%.2F" y2="%.2F" stroke-linecap="round" %s/>', $class, $x1, $y1, $x2, $y2, self::LOOKS[$class]);
    }

    /** @param list<Point> $ring */
    private function ring(string $class, array $ring): void
    {
        $this->shapes[] = sprintf('<polygon class="sp-%s" points="%s" %s/>', $class, implode(' ', $this->corners($ring)), self::LOOKS[$class]);
    }

    /**
     * @param list<Point> $ring
     * @return list<string> as far as it is in view
     */
    private function corners(array $ring): array
    {
        return array_map(fn (array $p) => vsprintf('%.2F,%.2F', $p), $this->clipped(array_map($this->px(...), $ring), true));
    }

    /**
     * What of a ring, or of a line, lies in view: cut at one side of the view after the other (Sutherland and Hodgman, CACM 17, 1974).
     *
     * @param list<array{float, float}> $points
     * @return list<array{float, float}>
     */
    private function clipped(array $points, bool $isRing): array
    {
        [$left, $top, $right, $low] = $this->within ?? [-INF, -INF, INF, INF];
        foreach ($this->within === null ? [] : [[0, 1, $left], [0, -1, $right], [1, 1, $top], [1, -1, $low]] as [$axis, $way, $bound]) {
            $kept = [];
            $n = count($points);
            foreach ($points as $i => $to) {
                $from = $points[($i + $n - 1) % $n];
                [$a, $b] = [$way * ($from[$axis] - $bound), $way * ($to[$axis] - $bound)];
                if (($a < 0) !== ($b < 0) && ($isRing || $i > 0)) {
                    $share = $a / ($a - $b);
                    $kept[] = [$from[0] + $share * ($to[0] - $from[0]), $from[1] + $share * ($to[1] - $from[1])];
                }
                $b >= 0 && $kept[] = $to;
            }
            $points = $kept;
        }

        return $points;
    }

    private function box(string $class, float $x, float $y, float $wide, float $high): void
    {
        $this->shapes[] = sprintf('<rect class="sp-%s" x="%.1F" y="%.1F" width="%.1F" height="%.1F" rx="3" %s/>', $class, $x, $y, $wide, $high, self::LOOKS[$class]);
    }

    private function tick(float $x, float $top, float $long): string
    {
        return sprintf('<line class="sp-tick" x1="%.1F" y1="%.1F" x2="%1$.1F" y2="%3$.1F" %4$s/>', $x, $top, $top - $long, self::LOOKS['tick']);
    }

    /** @return array{float, float} */
    private function px(Point $point): array
    {
        [$x, $y] = $this->turned($point);

        return [($x - $this->origin[0]) * $this->scale + $this->aside, ($y - $this->origin[1]) * $this->scale];
    }

    /** @return array{float, float} clockwise, y down */
    private function turned(Point $point): array
    {
        return [$point->x * $this->cos + $point->y * $this->sin, -$point->y * $this->cos + $point->x * $this->sin];
    }

    private function grow(float $x, float $y): void
    {
        $this->bounds = [min($this->bounds[0], $x), min($this->bounds[1], $y), max($this->bounds[2], $x), max($this->bounds[3], $y)];
    }

    private function svg(): string
    {
        [$left, $top, $right, $low] = $this->bounds;

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%3$.0F" height="%4$.0F" viewBox="%1$.1F %2$.1F %3$.1F %4$.1F" font-family="Inter Variable, Inter, Helvetica, sans-serif">%5$s</svg>',
            $left - 6, $top - 6, $right - $left + 12, $low - $top + 12, implode('', $this->shapes),
        );
    }
}
