<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\Band;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Tool\ToolKind;

/**
 * Which settings divide one direction of a sheet.
 *
 * Scores fall on the scoring tool's step, counted from the edge they lie nearer to; the sheet falls on the cutting tool's;
 * the main strip takes whatever is left, which is never less than it needs (or never more, where it goes inside something).
 */
final readonly class AxisPlan
{
    /** What is read on from the near edge while another strip has its name is a setting of its own, called so. */
    private const FAR = 'far-';

    /** What papers are long and wide where none is named: 12 in, letter, A4 (ANSI/ASME Y14.1, ISO 216); mm. */
    private const COMMON_MM = [304.8, 215.9, 279.4, 210.0, 297.0];

    /**
     * @param list<string> $before names of settings from the near edge inwards
     * @param list<string> $after from the far edge inwards
     * @param ?Step $readOn the scale on which these are read on from the near edge; null where they are read from the far one
     * @param array{list<int>, list<int>} $readings of both, from the edge each is counted from, ticks
     */
    private function __construct(private string $piece, private Axis $axis, private array $before, private array $after, private ?Step $readOn, private array $readings)
    {
    }

    /**
     * @param list<Strip> $before from the near edge inwards; strips of one name are one setting
     * @param MakeUp $main what the main strip needs
     * @param list<Strip> $after from the far edge inwards
     * @param bool $isContained whether the main strip must not come out larger than it needs, instead of not smaller
     * @param ?Band $band where it may come out either way: what $main has of it is its best, and the nearer one inside it is taken
     * @param bool $isAlike whether all four edges of the sheet take the same readings: then each of them comes to the fence, and nothing is set anew
     */
    public static function of(Planning $planning, string $piece, Axis $axis, array $before, MakeUp $main, array $after, bool $isContained = false, ?Band $band = null, bool $isAlike = false): self
    {
        $near = self::counted($planning, $piece, $before);
        $far = self::counted($planning, $piece, $after);
        $outer = Length::zero()->plus(self::last($near), self::last($far));
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
        $given = $planning->given($piece, self::cutOf($axis));
        $mayReadOn = $planning->tools->readsOn && ! $isAlike && $after !== [];
        if ($mayReadOn && $given === null && ! $isContained && $band === null && ! self::canReadOn($planning, $far, $total)) {
            $total = self::larger($planning, $far, $total);
        }
        $names = array_map(fn (Strip $strip) => $strip->setting, $before);
        $readsOn = $mayReadOn && (self::wasReadOn($planning, $piece, $names, $after, $given) ?? self::canReadOn($planning, $far, $given ?? $total));
        $name = fn (Strip $strip): string => ($readsOn && in_array($strip->setting, $names, true) ? self::FAR : '').$strip->setting;
        self::set($planning, $piece, array_map(fn (Strip $strip) => $strip->setting, $before), $near);
        self::set($planning, $piece, array_map($name, $after), $far);
        $planning->set($piece, self::cutOf($axis), ToolKind::Trimmer, $madeOf->figure(), $total, $madeOf);

        return new self($piece, $axis, $names, array_map($name, $after), $readsOn ? $planning->score() : null, [self::ticks($near), self::ticks($far)]);
    }

    /** The same, every score read from the edge it is counted from. */
    public function fromEachEdge(): self
    {
        return new self($this->piece, $this->axis, $this->before, $this->after, null, $this->readings);
    }

    /** Whether all four edges of a sheet come to the same readings: then each comes to the fence, and nothing is set anew. */
    public static function areAlike(self $columns, self $rows): bool
    {
        [$near, $far] = $columns->readings;

        return $near !== [] && $near === $far && $rows->readings === [$near, $far];
    }

    /** @throws NothingLeft where one setting was moved across another */
    public function settle(Settings $settings): GridAxis
    {
        $of = fn (string $name): Setting => $settings->of($this->piece, $name);

        return new GridAxis($this->axis, array_map($of, $this->before), array_map($of, $this->after), $of(self::cutOf($this->axis)), $this->readOn);
    }

    /**
     * Whether the scores of a sheet that is cut already were read on: its settings are called so. Null where nothing is given, or no name tells.
     *
     * @param list<string> $names of the strips before the main one
     * @param list<Strip> $after
     * @param ?Length $cut what it was cut to
     */
    private static function wasReadOn(Planning $planning, string $piece, array $names, array $after, ?Length $cut): ?bool
    {
        $shared = array_filter($after, fn (Strip $strip) => in_array($strip->setting, $names, true));
        if ($cut === null || $shared === []) {
            return null;
        }

        return array_filter($shared, fn (Strip $strip) => $planning->given($piece, self::FAR.$strip->setting) !== null) !== [];
    }

    /**
     * Whether every one of them falls on the step, and within the tool's reach, from the near edge too.
     *
     * @param list<array{Length, Length, MakeUp}> $far
     */
    private static function canReadOn(Planning $planning, array $far, Length $total): bool
    {
        $reach = $planning->tools->reachOf($planning->scorer);
        $canRead = fn (Length $at): bool => $planning->score()->divides($at) && ($reach === null || ! $reach->isLessThan($at));

        return array_filter($far, fn (array $reading) => ! $canRead($total->minus($reading[0]))) === [];
    }

    /**
     * A step more, where that saves a turn and costs no share of the paper: as often as before the sheet comes out of it, along it and across.
     *
     * @param list<array{Length, Length, MakeUp}> $far
     */
    private static function larger(Planning $planning, array $far, Length $total): Length
    {
        $larger = $planning->tools->cut->up($total->plus(Length::ofTicks(1)));
        $paper = $planning->paper;
        $sides = $paper === null ? array_map(Length::nearestTo(...), self::COMMON_MM) : [$paper->width, $paper->height];
        $isSame = fn (Length $side): bool => intdiv($side->ticks, $larger->ticks) === intdiv($side->ticks, $total->ticks);

        $comesOut = array_filter($sides, fn (Length $side) => ! $side->isLessThan($total)) !== [];

        return $comesOut && self::canReadOn($planning, $far, $larger) && array_filter($sides, fn (Length $side) => ! $isSame($side)) === [] ? $larger : $total;
    }

    private static function nearest(Band $band, Length $whole, Length $less, Length $more): Length
    {
        $of = fn (Length $total): Length => $total->minus($whole)->plus($band->best);

        return $band->better($of($less), $of($more))->equals($of($less)) ? $less : $more;
    }

    private static function cutOf(Axis $axis): string
    {
        return $axis === Axis::Width ? 'sheet-width' : 'sheet-height';
    }

    /**
     * Each strip's score, read from the edge the first of them lies at.
     *
     * @param list<Strip> $strips
     * @return list<array{Length, Length, MakeUp}> the reading, what it would be if no tool had steps, and what it is made of
     */
    private static function counted(Planning $planning, string $piece, array $strips): array
    {
        $reading = $exact = Length::zero();
        $madeOf = MakeUp::of();
        $score = $planning->score();
        $readings = [];
        foreach ($strips as $strip) {
            $need = $strip->need->figure();
            // The reading falls on the step, whatever the one before it was.
            $rounded = $strip->isContained
                ? Length::max($score->down($reading->plus($need)), $score->up($reading->plus(Length::ofTicks(1))))
                : $score->up($reading->plus($need));
            $madeOf = $madeOf->and($strip->need->roundedTo($rounded->minus($reading)));
            $exact = $exact->plus($need);
            $reading = $planning->given($piece, $strip->setting) ?? $rounded;
            $readings[] = [$reading, $exact, $madeOf];
        }

        return $readings;
    }

    /**
     * @param list<string> $names
     * @param list<array{Length, Length, MakeUp}> $readings
     */
    private static function set(Planning $planning, string $piece, array $names, array $readings): void
    {
        foreach ($readings as $i => [$at, $exact, $madeOf]) {
            $planning->set($piece, $names[$i], $planning->scorer, $exact, $at, $madeOf);
        }
    }

    /**
     * @param list<array{Length, Length, MakeUp}> $readings
     * @return list<int>
     */
    private static function ticks(array $readings): array
    {
        return array_map(fn (array $reading) => $reading[0]->ticks, $readings);
    }

    /** @param list<array{Length, Length, MakeUp}> $readings */
    private static function last(array $readings): Length
    {
        return $readings === [] ? Length::zero() : $readings[count($readings) - 1][0];
    }
}
