<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** On a punch board: one mark a side, p = H/√2 + d from one end, S − p = W/√2 + d from the other. */
final readonly class PunchedSquare implements SheetPlan
{
    private const MARK = 'first-mark';

    private const SECOND = 'second-mark';

    /** So many steps of the trimmer are tried for a side from both of whose ends the marks can be read. */
    private const MOST_TRIES = 64;

    /**
     * @param bool $isFromShortEnd which end of the side is the one that falls on the board's step
     * @param ?Step $fromLeftOnly of a board whose ruler runs one way only
     */
    private function __construct(private string $piece, private Length $notch, private bool $isFromShortEnd, private bool $isDeep, private Tips $tips, private ?Step $fromLeftOnly)
    {
    }

    /**
     * @param MakeUp $wide what the face must be between its folds along its long side
     * @param MakeUp $high the same along its short side
     * @param ?TipChoice $tips none where its tips lose only what they must
     * @param ?MakeUp $depth of a gusset all round, if there is one: two marks a side, √2 times the depth apart
     */
    public static function plan(Planning $planning, string $piece, MakeUp $wide, MakeUp $high, ?MakeUp $depth = null, ?TipChoice $tips = null): self
    {
        $tools = $planning->tools;
        $seam = new Term(TermKind::Seam, $tools->notch);
        $short = Length::atLeast($high->figure()->toMillimetres() / M_SQRT2)->plus($tools->notch);
        $long = Length::atLeast($wide->figure()->toMillimetres() / M_SQRT2)->plus($tools->notch);

        // Either end of the side can be the one that falls on the board's step; the other end takes what is left.
        $exactGap = Length::atLeast(($depth?->figure()->toMillimetres() ?? 0.0) * M_SQRT2);
        $mark = $planning->given($piece, self::MARK) ?? $tools->punch->up($short);
        $second = $tools->punch->up($mark->plus($exactGap));
        $side = self::side($tools, $mark, $second, $long);
        $otherMark = $tools->punch->up($long);
        $otherSecond = $tools->punch->up($otherMark->plus($exactGap));
        $otherSide = self::side($tools, $otherMark, $otherSecond, $short);
        $isFromShortEnd = $planning->given($piece, self::MARK) !== null || ! $otherSide->isLessThan($side);

        $across = 1 / M_SQRT2;
        [$side, $mark, $second, $end, $exactMark] = $isFromShortEnd ? [$side, $mark, $second, $high, $short] : [$otherSide, $otherMark, $otherSecond, $wide, $long];
        $spread = $depth?->share(M_SQRT2) ?? MakeUp::of();
        $sideMadeOf = $wide->share($across)->and($high->share($across))->and($spread)->plus($seam, $seam);
        $planning->set($piece, TurnedLayout::SHEET, ToolKind::Trimmer, $short->plus($long, $exactGap), $side, $sideMadeOf);
        $first = $planning->set($piece, self::MARK, ToolKind::PunchBoard, $exactMark, $mark, $end->share($across)->plus($seam));
        $depth === null || $planning->set($piece, self::SECOND, ToolKind::PunchBoard, $exactMark->plus($exactGap), $second, $first->madeOf->and($spread->roundedTo($second->minus($first->at))));
        $square = self::square($planning->settings(), $piece, $tools->notch, $isFromShortEnd, $depth !== null);

        return new self($piece, $tools->notch, $isFromShortEnd, $depth !== null, Tips::plan($planning, $piece, $square, $tips ?? TipChoice::none()), $tools->isReadFromLeftOnly ? $tools->punch : null);
    }

    /** As large as it must be; where the board's ruler runs one way only, so large that the marks also fall on its step from the other end. */
    private static function side(Tools $tools, Length $mark, Length $second, Length $rest): Length
    {
        $least = $tools->cut->up($second->plus($rest));
        $side = $least;
        for ($tries = 0; $tools->isReadFromLeftOnly && $tries < self::MOST_TRIES; $tries++) {
            if ($tools->punch->divides($side->minus($mark)) && $tools->punch->divides($side->minus($second))) {
                return $side;
            }
            $side = $tools->cut->up($side->plus(Length::ofTicks(1)));
        }

        return $least;
    }

    public function settle(Settings $settings): TurnedLayout
    {
        $square = self::square($settings, $this->piece, $this->notch, $this->isFromShortEnd, $this->isDeep);
        $miss = Fit::handMiss()->toMillimetres() * M_SQRT2;

        return new TurnedLayout(
            $settings->of($this->piece, TurnedLayout::SHEET), $this->marks($settings), $square,
            wideSlip: Length::nearestTo($this->isFromShortEnd ? 2 * $miss : $miss),
            highSlip: Length::nearestTo($this->isFromShortEnd ? $miss : 2 * $miss),
            lie: Lie::Square, trims: $this->tips->settle($settings, $square), isTopTurnedIn: $this->tips->isTurnedIn(),
        );
    }

    private static function square(Settings $settings, string $piece, Length $notch, bool $isFromShortEnd, bool $isDeep): TurnedSquare
    {
        $side = $settings->of($piece, TurnedLayout::SHEET)->at;
        $mark = $settings->of($piece, self::MARK)->at;
        $gap = $isDeep ? $settings->of($piece, self::SECOND)->at->minus($mark) : Length::zero();
        $isDeep === $gap->isPositive() || throw NothingLeft::of('gusset');
        $rest = $side->minus($mark)->minus($gap);
        [$p, $q] = $isFromShortEnd ? [$mark, $rest] : [$rest, $mark];

        return new TurnedSquare(
            $side->toMillimetres(),
            $q->minus($notch)->toMillimetres() * M_SQRT2,
            $p->minus($notch)->toMillimetres() * M_SQRT2,
            array_fill_keys([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP], $gap->toMillimetres() / M_SQRT2),
        );
    }

    /**
     * The sheet is turned a quarter clockwise from side to side: top, left, bottom and right edge lie at the punch
     * one after another, and the short reading is at their left, right, left and right end.
     *
     * @return list<Measure>
     */
    private function marks(Settings $settings): array
    {
        $corners = [
            [Flap::LEFT, Flap::TOP], [Flap::LEFT, Flap::BOTTOM],
            [Flap::BOTTOM, Flap::RIGHT], [Flap::RIGHT, Flap::TOP],
        ];
        $marks = [];
        foreach ($corners as $i => $flaps) {
            $from = $i % 2 === ($this->isFromShortEnd ? 0 : 1) ? 'left' : 'right';
            if (! $this->isDeep) {
                $marks[] = $this->mark($settings, self::MARK, $from, $flaps, $i + 1);

                continue;
            }
            // Of two, the one nearer to an end lies where the flap beside that end leaves its gusset.
            foreach ([self::MARK => $this->isFromShortEnd, self::SECOND => ! $this->isFromShortEnd] as $name => $isBesideSide) {
                $creases = array_map(fn (string $flap): string => in_array($flap, [Flap::LEFT, Flap::RIGHT], true) === $isBesideSide ? $flap : Flap::gusset($flap), $flaps);
                $marks[] = $this->mark($settings, $name, $from, $creases, $i + 1);
            }
        }

        return $marks;
    }

    /**
     * Read from the left end where the board's ruler runs that way only.
     *
     * @param list<string> $creases
     */
    private function mark(Settings $settings, string $name, string $from, array $creases, int $side): Measure
    {
        $measure = Measure::of($settings->of($this->piece, $name), MeasureKind::Punch, Axis::Edge, $from, $creases, $side);

        return $this->fromLeftOnly === null || $from === 'left' ? $measure : $measure->readFrom('left', $settings->of($this->piece, TurnedLayout::SHEET)->at, $this->fromLeftOnly);
    }
}
