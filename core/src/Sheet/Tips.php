<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;

/** What comes off the tips of a turned square's flaps: those that reach past the opposite fold, or nearer to it than a hand can miss. */
final readonly class Tips
{
    private const SIDES = 'side-tips';

    private const LONG = 'long-tips';

    /** The bottom flap's own, where it is made shorter by choice. */
    public const BOTTOM = 'bottom-tip';

    /** The top flap's own, where its point is cut or turned in by choice; and the crease at which it is turned in. */
    public const TOP = 'top-tip';

    /** A flap is shortened by no more of it than that. */
    private const MOST_SHARE = 0.8;

    private function __construct(private string $piece, private TipChoice $choice)
    {
    }

    /** A trimmer too coarse to leave anything of a flap trims nothing, and the fit says so. */
    public static function plan(Planning $planning, string $piece, TurnedSquare $square, TipChoice $choice): self
    {
        $off = [self::SIDES => Length::zero(), self::LONG => Length::zero()];
        foreach ([self::SIDES => [Flap::LEFT, Flap::RIGHT, $square->width], self::LONG => [Flap::BOTTOM, Flap::TOP, $square->height]] as $name => [$one, $other, $face]) {
            $reach = max($square->reach($one), $square->reach($other));
            $madeOf = MakeUp::of(
                new Term(TermKind::Reach, Length::nearestTo($reach)),
                new Term(TermKind::Face, Length::nearestTo(-$face)),
                new Term(TermKind::Margin, Fit::handMiss()),
            );
            $off[$name] = $planning->tools->cut->up($madeOf->figure());
            if ($off[$name]->isPositive() && $off[$name]->toMillimetres() < min($square->reach($one), $square->reach($other))) {
                $isReplaced = $name === self::LONG && $choice->bottomShorter->isPositive() && $choice->top !== TopTip::Kept;
                $isReplaced || $planning->set($piece, $name, ToolKind::Trimmer, $madeOf->figure(), $off[$name], $madeOf);
            } else {
                $off[$name] = Length::zero();
            }
        }
        if ($choice->bottomShorter->isPositive()) {
            self::own($planning, $piece, self::BOTTOM, ToolKind::Trimmer, $off[self::LONG]->plus($choice->bottomShorter), $square->reach(Flap::BOTTOM));
        }
        if ($choice->top !== TopTip::Kept) {
            self::own($planning, $piece, self::TOP, $choice->top === TopTip::Cut ? ToolKind::Trimmer : ToolKind::ScoringBoard, Length::max($off[self::LONG], $choice->by), $square->reach(Flap::TOP));
        }

        return new self($piece, $choice);
    }

    /** @param float $reach of the flap, mm: something of it is left */
    private static function own(Planning $planning, string $piece, string $name, ToolKind $tool, Length $wanted, float $reach): void
    {
        $step = $planning->tools->step($tool);
        $at = Length::min($step->up($wanted), $step->down(Length::atMost($reach * self::MOST_SHARE)));
        $at->isPositive() && $planning->set($piece, $name, $tool, $wanted, $at, MakeUp::of(new Term(TermKind::Flap, $wanted)));
    }

    /**
     * @return array{array<string, Length>, list<Measure>} what comes off each flap, or is turned in, and the readings
     *
     * @throws NothingLeft where nothing of a flap is left
     */
    public function settle(Settings $settings, TurnedSquare $square): array
    {
        [$side, $measures] = $this->trim($settings, self::SIDES, $square, Axis::Diagonal, ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT]);
        $trims = [Flap::LEFT => $side, Flap::RIGHT => $side];
        foreach ([Flap::BOTTOM => ['bottom-left', self::BOTTOM, $this->choice->bottomShorter->isPositive()], Flap::TOP => ['top-right', self::TOP, $this->choice->top !== TopTip::Kept]] as $flap => [$corner, $own, $hasOwn]) {
            [$trims[$flap], $readings] = $this->trim($settings, $hasOwn ? $own : self::LONG, $square, Axis::CrossDiagonal, [$corner => $flap]);
            array_push($measures, ...$readings);
        }

        return [$trims, $measures];
    }

    public function isTurnedIn(): bool
    {
        return $this->choice->top === TopTip::TurnedIn;
    }

    /**
     * @param non-empty-array<string, string> $tips flap by the corner its tip lies in
     * @return array{Length, list<Measure>}
     */
    private function trim(Settings $settings, string $name, TurnedSquare $square, Axis $axis, array $tips): array
    {
        $setting = $settings->find($this->piece, $name);
        if ($setting === null) {
            return [Length::zero(), []];
        }
        $setting->at->isPositive() && $setting->at->toMillimetres() < min(array_map($square->reach(...), $tips)) || throw NothingLeft::of('flap');
        $measures = [];
        foreach ($tips as $corner => $flap) {
            $measures[] = $this->isTurnedIn() && $name === self::TOP
                ? Measure::of($setting, MeasureKind::Score, $axis, $corner, [self::TOP])
                : Measure::of($setting, MeasureKind::Trim, $axis, $corner, [$flap]);
        }

        return [$setting->at, $measures];
    }
}
