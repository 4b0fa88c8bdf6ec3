<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/**
 * One direction of a sheet, divided by straight scores into strips.
 *
 * A score is read from whichever edge it is counted from: the strips before the main one from the near edge (left or
 * bottom), those after it from the far edge. Their scores fall on the scoring tool's step; the sheet falls on the
 * cutting tool's; the main strip takes whatever is left, which is never less than it needs (or never more, where it
 * has to go inside something).
 */
final readonly class GridAxis
{
    /**
     * @param list<Length> $widths of the strips, from the near edge on
     * @param list<Length> $lines where the scores lie, from the near edge
     * @param list<Measure> $scores in the order of the lines
     * @param int $main index of the main strip
     */
    private function __construct(
        public Axis $axis,
        public array $widths,
        public array $lines,
        public array $scores,
        public int $main,
        public Length $total,
        public Length $exact,
        public MakeUp $madeOf,
        private string $setting,
    ) {
    }

    /**
     * @param list<Strip> $before from the near edge inwards
     * @param MakeUp $main what the main strip needs
     * @param list<Strip> $after from the far edge inwards
     * @param bool $isContained whether the main strip must not come out larger than it needs, instead of not smaller
     *
     * @throws NothingLeft where a setting was moved across another
     */
    public static function of(Axis $axis, array $before, MakeUp $main, array $after, Tools $tools, bool $isContained = false): self
    {
        [$near, $far] = $axis === Axis::Width ? ['left', 'right'] : ['bottom', 'top'];
        $name = $axis === Axis::Width ? 'x' : 'y';
        $lines = count($before) + count($after);
        // All lines at one reading are one setting; when it is moved, the lines at other readings stay where they are.
        $counted = fn (bool $isMoved): array => [
            self::counted($before, $axis, $near, $tools, fn (int $i) => $name.($i + 1), $isMoved),
            self::counted($after, $axis, $far, $tools, fn (int $i) => $name.($lines - $i), $isMoved),
        ];
        [[$nearWidths], [$farWidths]] = $counted(false);
        $outer = Length::zero()->plus(...$nearWidths, ...$farWidths);
        $needs = array_map(fn (Strip $strip) => $strip->need, [...$before, ...$after]);
        $madeOf = array_reduce($needs, fn (MakeUp $sum, MakeUp $need) => $sum->and($need), $main);
        $whole = $outer->plus($main->figure());
        $total = $isContained ? Length::max($tools->cut->down($whole), $tools->cut->up($outer->plus(Length::ofTicks(1)))) : $tools->cut->up($whole);
        [[$nearWidths, $nearScores], [$farWidths, $farScores]] = $counted(true);
        $setting = "cut-$total->ticks";
        $total = $total->plus($tools->moved($setting));
        $outer = Length::zero()->plus(...$nearWidths, ...$farWidths);
        $widths = [...$nearWidths, $total->minus($outer), ...array_reverse($farWidths)];
        foreach ($widths as $width) {
            $width->isPositive() || throw NothingLeft::of('strip');
        }
        $at = Length::zero();
        $positions = [];
        foreach (array_slice($widths, 0, -1) as $width) {
            $at = $at->plus($width);
            $positions[] = $at;
        }

        return new self(
            $axis, $widths, $positions, [...$nearScores, ...array_reverse($farScores)], count($before),
            $total, $madeOf->figure(), $madeOf->roundedTo($total), $setting,
        );
    }

    /** The setting that cuts the sheet to this length. */
    public function cut(): Measure
    {
        return new Measure(MeasureKind::Cut, ToolKind::Trimmer, $this->axis, $this->axis === Axis::Width ? 'left' : 'top', $this->total, $this->madeOf, setting: $this->setting);
    }

    public function width(int $strip): Length
    {
        return $this->widths[$strip] ?? throw new \LogicException('No such strip.');
    }

    public function main(): Length
    {
        return $this->width($this->main);
    }

    /** Where a strip begins, in millimetres from the near edge; the number after the last one gives the far edge. */
    public function edge(int $strip): float
    {
        return match (true) {
            $strip === 0 => 0.0,
            $strip === count($this->widths) => $this->total->toMillimetres(),
            default => ($this->lines[$strip - 1] ?? throw new \LogicException('No such strip.'))->toMillimetres(),
        };
    }

    /**
     * @param list<Strip> $strips
     * @param callable(int): string $crease the name of the line that ends a strip
     * @return array{list<Length>, list<Measure>}
     */
    private static function counted(array $strips, Axis $axis, string $from, Tools $tools, callable $crease, bool $isMoved): array
    {
        $widths = [];
        $scores = [];
        $reading = $last = Length::zero();
        $madeOf = MakeUp::of();
        foreach ($strips as $i => $strip) {
            $need = $strip->need->figure();
            $width = $strip->isContained ? Length::max($tools->score->down($need), $tools->score->size) : $tools->score->up($need);
            $reading = $reading->plus($width);
            $madeOf = $madeOf->and($strip->need->roundedTo($width));
            $setting = "score-$reading->ticks";
            $at = $isMoved ? $reading->plus($tools->moved($setting)) : $reading;
            $widths[] = $at->minus($last);
            $last = $at;
            $scores[] = new Measure(MeasureKind::Score, ToolKind::ScoringBoard, $axis, $from, $at, $madeOf->roundedTo($at), [$crease($i)], setting: $setting);
        }

        return [$widths, $scores];
    }
}
