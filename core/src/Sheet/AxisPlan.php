<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\Band;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Setting\Setting;
use Gimbo\Core\Setting\Settings;
use Gimbo\Core\Tool\ToolKind;

/**
 * Which settings divide one direction of a sheet.
 *
 * Scores fall on the scoring tool's step, counted from the edge they lie nearer to; the sheet falls on the cutting tool's;
 * the main strip takes whatever is left, which is never less than it needs (or never more, where it goes inside something).
 */
final readonly class AxisPlan
{
    /**
     * @param list<string> $before names of settings from the near edge inwards
     * @param list<string> $after from the far edge inwards
     */
    private function __construct(private string $piece, private Axis $axis, private array $before, private array $after)
    {
    }

    /**
     * @param list<Strip> $before from the near edge inwards; strips of one name are one setting
     * @param MakeUp $main what the main strip needs
     * @param list<Strip> $after from the far edge inwards
     * @param bool $isContained whether the main strip must not come out larger than it needs, instead of not smaller
     * @param ?Band $band where it may come out either way: what $main has of it is its best, and the nearer one inside it is taken
     */
    public static function of(Planning $planning, string $piece, Axis $axis, array $before, MakeUp $main, array $after, bool $isContained = false, ?Band $band = null): self
    {
        $outer = Length::zero()->plus(self::counted($planning, $piece, $before), self::counted($planning, $piece, $after));
        $madeOf = $main;
        foreach ([...$before, ...$after] as $strip) {
            $madeOf = $madeOf->and($strip->need);
        }
        $cut = $planning->tools->cut;
        $whole = $outer->plus($main->figure());
        $least = Length::max($cut->down($whole), $cut->up($outer->plus(Length::ofTicks(1))));
        $total = match (true) {
            $isContained => $least,
            $band !== null => self::nearest($band, $whole, $least, $cut->up($whole)),
            default => $cut->up($whole),
        };
        $planning->set($piece, self::cutOf($axis), ToolKind::Trimmer, $madeOf->figure(), $total, $madeOf);

        return new self($piece, $axis, array_map(self::settingOf(...), $before), array_map(self::settingOf(...), $after));
    }

    /** @throws NothingLeft where one setting was moved across another */
    public function settle(Settings $settings): GridAxis
    {
        $of = fn (string $name): Setting => $settings->of($this->piece, $name);

        return new GridAxis($this->axis, array_map($of, $this->before), array_map($of, $this->after), $of(self::cutOf($this->axis)));
    }

    private static function nearest(Band $band, Length $whole, Length $less, Length $more): Length
    {
        $of = fn (Length $total): Length => $total->minus($whole)->plus($band->best);

        return $band->better($of($less), $of($more))->equals($of($less)) ? $less : $more;
    }

    private static function settingOf(Strip $strip): string
    {
        return $strip->setting;
    }

    private static function cutOf(Axis $axis): string
    {
        return $axis === Axis::Width ? 'sheet-width' : 'sheet-height';
    }

    /**
     * Each strip's score, read from the edge the first of them lies at.
     *
     * @param list<Strip> $strips
     * @return Length the last reading
     */
    private static function counted(Planning $planning, string $piece, array $strips): Length
    {
        $reading = $exact = Length::zero();
        $madeOf = MakeUp::of();
        $score = $planning->tools->score;
        foreach ($strips as $strip) {
            $need = $strip->need->figure();
            $width = $strip->isContained ? Length::max($score->down($need), $score->size) : $score->up($need);
            $rounded = $reading->plus($width);
            $madeOf = $madeOf->and($strip->need->roundedTo($width));
            $exact = $exact->plus($need);
            $reading = $planning->set($piece, $strip->setting, ToolKind::ScoringBoard, $exact, $rounded, $madeOf)->at;
        }

        return $reading;
    }
}
