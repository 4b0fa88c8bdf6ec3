<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use LogicException;

/**
 * One direction of a sheet as its settings divide it: straight scores, and strips between them.
 *
 * A score is read from whichever edge it is counted from: the strips before the main one from the near edge (left or
 * bottom), those after it from the far edge, or read on from the near one, where that falls on the step. The main strip takes
 * whatever is left between them.
 */
final readonly class GridAxis
{
    /** @var list<Length> of the strips, from the near edge on */
    public array $widths;

    /** @var list<Measure> in the order of the lines */
    public array $scores;

    public Length $total;

    /** What the sheet would be if no tool had steps. */
    public Length $exact;

    public MakeUp $madeOf;

    /** Index of the main strip. */
    public int $main;

    /** @var list<float> where each strip begins, and the far edge; mm from the near edge */
    public array $edges;

    /**
     * @param list<Setting> $before from the near edge inwards
     * @param list<Setting> $after from the far edge inwards
     * @param ?Step $readOn the scale on which those are read on from the near edge; null where they are read from the far one
     *
     * @throws NothingLeft where one setting was moved across another
     */
    public function __construct(public Axis $axis, array $before, array $after, private Setting $cut, ?Step $readOn = null)
    {
        [$near, $far, $name] = $axis === Axis::Width ? ['left', 'right', 'x'] : ['bottom', 'top', 'y'];
        $lines = count($before) + count($after);
        $nearWidths = self::steps($before);
        $farWidths = self::steps($after);
        $scores = [];
        foreach ($before as $i => $setting) {
            $scores[] = Measure::of($setting, MeasureKind::Score, $axis, $near, [$name.($i + 1)]);
        }
        for ($i = count($after) - 1; $i >= 0; $i--) {
            $score = Measure::of($after[$i], MeasureKind::Score, $axis, $far, [$name.($lines - $i)]);
            $scores[] = $readOn === null ? $score : $score->readFrom($near, $cut->at, $readOn);
        }
        $outer = Length::zero()->plus(...$nearWidths, ...$farWidths);
        $this->widths = [...$nearWidths, $cut->at->minus($outer), ...array_reverse($farWidths)];
        $edges = [0.0];
        $at = Length::zero();
        foreach ($this->widths as $width) {
            $width->isPositive() || throw NothingLeft::of('strip');
            $at = $at->plus($width);
            $edges[] = $at->toMillimetres();
        }
        $this->scores = $scores;
        $this->edges = $edges;
        $this->main = count($before);
        [$this->total, $this->exact, $this->madeOf] = [$cut->at, $cut->exact, $cut->madeOf];
    }

    /** The reading that cuts the sheet to this length. */
    public function cut(): Measure
    {
        return Measure::of($this->cut, MeasureKind::Cut, $this->axis, $this->axis === Axis::Width ? 'left' : 'top');
    }

    public function width(int $strip): Length
    {
        return $this->widths[$strip] ?? throw new LogicException('No such strip.');
    }

    public function main(): Length
    {
        return $this->width($this->main);
    }

    /** Where a strip begins, in millimetres from the near edge; the number after the last one gives the far edge. */
    public function edge(int $strip): float
    {
        return $this->edges[$strip] ?? throw new LogicException('No such strip.');
    }

    /**
     * @param list<Setting> $settings readings from one edge, the nearest first
     * @return list<Length> what lies between them
     */
    private static function steps(array $settings): array
    {
        $widths = [];
        $last = Length::zero();
        foreach ($settings as $setting) {
            $widths[] = $setting->at->minus($last);
            $last = $setting->at;
        }

        return $widths;
    }
}
