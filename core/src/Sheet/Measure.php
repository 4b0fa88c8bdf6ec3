<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Tool\ToolKind;

/**
 * One reading of a setting: where a hand sets its tool once.
 *
 * `at` is what the hand reads, from the edge or corner `from`. The line itself lies `standoff` nearer: the sheet's corner
 * cannot lie at the fence when its diagonal lies on a groove.
 */
final readonly class Measure
{
    /**
     * @param string $setting the name of the setting among those of its piece
     * @param list<string> $creases the creases it makes, by name
     * @param ?int $side which side of the sheet, counted in the order they are turned to the tool
     * @param ?Length $groove the groove of the board on which the sheet's other two corners lie, where it is scored corner up
     * @param ?RailLine $rail where a slanted cut runs
     * @param Step $scale the one of the tool's scales it is read on
     * @param ?Length $across what this reading and its setting come to together, where it is read from the other side; null where it is the setting itself
     */
    private function __construct(
        public MeasureKind $kind,
        public ToolKind $tool,
        public Axis $axis,
        public string $from,
        public Length $at,
        public MakeUp $madeOf,
        public string $setting,
        public array $creases,
        public ?int $side,
        public ?Length $standoff,
        public ?Length $groove,
        public ?RailLine $rail,
        public Step $scale,
        public ?Length $across = null,
    ) {
    }

    /** @param list<string> $creases */
    public static function of(Setting $setting, MeasureKind $kind, Axis $axis, string $from, array $creases = [], ?int $side = null, ?Length $standoff = null, ?Length $groove = null, ?RailLine $rail = null): self
    {
        return new self($kind, $setting->tool, $axis, $from, $setting->at, $setting->madeOf, $setting->name, $creases, $side, $standoff, $groove, $rail, $setting->scale);
    }

    /**
     * The same line read from the other side.
     *
     * @param Length $across from one side to the other
     */
    public function readFrom(string $from, Length $across, Step $step): self
    {
        $at = $across->minus($this->at);
        $madeOf = MakeUp::of(new Term(TermKind::Sheet, $across))->and($this->madeOf->share(-1))->roundedTo($at);

        return new self($this->kind, $this->tool, $this->axis, $from, $at, $madeOf, $this->setting, $this->creases, $this->side, $this->standoff, $this->groove, $this->rail, $step->on($at), $across);
    }

    /** As it reads on its scale; another reading of its kind, where one is given. */
    public function text(?Length $at = null): string
    {
        return LengthFormatter::in($this->scale->unit)->marked($at ?? $this->at);
    }
}
