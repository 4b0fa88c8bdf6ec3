<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Lie;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** A square sheet as the tools can really set it, the folds on it, and the tips that have to come off. */
final readonly class TurnedLayout
{
    /** @var list<Measure> what trims the tips */
    public array $trims;

    public Length $sideTrim;

    public Length $longTrim;

    /**
     * @param list<Measure> $marks the punch marks or scores
     * @param Length $wideSlip how much narrower the face gets when every setting is missed by a hand's miss
     * @param Length $highSlip how much lower
     */
    public function __construct(
        public Length $side,
        public Length $exactSide,
        public MakeUp $sideMadeOf,
        public array $marks,
        public TurnedSquare $square,
        public Length $wideSlip,
        public Length $highSlip,
        public Lie $lie,
        Tools $tools,
    ) {
        [$this->sideTrim, $sideMeasures] = self::trim($square->sideReach(), $square->width, $tools, 'side-tips', Axis::Diagonal, ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT]);
        [$this->longTrim, $longMeasures] = self::trim($square->longReach(), $square->height, $tools, 'long-tips', Axis::CrossDiagonal, ['bottom-left' => Flap::BOTTOM, 'top-right' => Flap::TOP]);
        $this->trims = [...$sideMeasures, ...$longMeasures];
    }

    /** How far the top and bottom flaps reach once their tips are off. */
    public function longEnd(): float
    {
        return $this->square->longReach() - $this->longTrim->toMillimetres();
    }

    public function sideEnd(): float
    {
        return $this->square->sideReach() - $this->sideTrim->toMillimetres();
    }

    /**
     * What comes off a tip that reaches past the opposite fold, or nearer to it than a hand can miss.
     * A trimmer too coarse to leave anything of the flap trims nothing, and the fit says so.
     *
     * @param array<string, string> $tips flap by the corner its tip lies in
     * @return array{Length, list<Measure>}
     */
    private static function trim(float $reach, float $face, Tools $tools, string $setting, Axis $axis, array $tips): array
    {
        $madeOf = MakeUp::of(
            new Term(TermKind::Reach, Length::nearestTo($reach)),
            new Term(TermKind::Face, Length::nearestTo(-$face)),
            new Term(TermKind::Margin, Fit::handMiss()),
        );
        $off = $tools->cut->up($madeOf->figure());
        if (! $off->isPositive() || $off->toMillimetres() >= $reach) {
            return [Length::zero(), []];
        }
        $off = $off->plus($tools->moved($setting));
        $off->isPositive() && $off->toMillimetres() < $reach || throw NothingLeft::of('flap');
        $measures = [];
        foreach ($tips as $corner => $flap) {
            $measures[] = new Measure(MeasureKind::Trim, ToolKind::Trimmer, $axis, $corner, $off, $madeOf->roundedTo($off), [$flap], setting: $setting);
        }

        return [$off, $measures];
    }
}
