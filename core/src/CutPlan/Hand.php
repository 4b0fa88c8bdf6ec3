<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/**
 * A planned sheet as a hand cuts it: rough edges off first, then every cut with its number, pieces named.
 *
 * Of the parts that lie there the next is one that is cut at the reading the trimmer is set to, or at least the same way round; so it is
 * set and the paper turned as seldom as can be.
 */
final class Hand
{
    /** @var array<int, int> the number of each part's cut, by the part */
    private array $numbers = [];

    /** @param \Closure(int): string $name the id of the next piece of a size */
    private function __construct(private readonly Job $job, private readonly \Closure $name)
    {
    }

    /**
     * @param Laid $laid a kerf added to both sides
     * @param \Closure(int): string $name the id of the next piece of a size
     */
    public static function tree(Laid $laid, Stock $stock, Job $job, \Closure $name): Part
    {
        $hand = new self($job, $name);
        $kerf = $job->trimmer->kerf->ticks;
        $whole = new Laid($stock->width->ticks + $kerf, $stock->height->ticks + $kerf);
        self::trimmed($whole, $laid, $stock, $job);
        $hand->number($whole);

        return $hand->part($whole);
    }

    /** From a sheet's left or lower edge to where its usable part begins: the rough edge, taken off on the trimmer's step, one step at the least. Ticks. */
    public static function begins(Job $job): int
    {
        $off = max(0, $job->margin->ticks - $job->trimmer->kerf->ticks);

        return $job->margin->isZero() ? 0 : $job->trimmer->step->times(max(1, intdiv($off + $job->trimmer->step->ticks - 1, $job->trimmer->step->ticks)))->ticks + $job->trimmer->kerf->ticks;
    }

    /** Which way rough edges are cut off first, where the other way the sheet is longer than the trimmer cuts, or a roll: upright, or else level; null where that makes no difference. */
    public static function trimsFirst(Stock $stock, Job $job): ?bool
    {
        $longest = $job->trimmer->longest;

        return match (true) {
            self::begins($job) === 0 => null,
            $stock->isRoll => false,
            $longest === null => null,
            $stock->height->isMoreThan($longest) => false,
            $stock->width->isMoreThan($longest) => true,
            default => null,
        };
    }

    private static function trimmed(Laid $whole, Laid $laid, Stock $stock, Job $job): void
    {
        $first = self::trimsFirst($stock, $job);
        $begins = self::begins($job);
        $rest = $whole;
        foreach ($first === null ? [true, false] : [$first] as $isUpright) {
            $rest = self::within($rest, $isUpright, $begins, $isUpright ? $laid->width : $laid->height);
        }
        $first === null ? $rest->become($laid) : self::later($rest, $laid, ! $first, $begins);
    }

    /** Rough edges on both other sides, once what lies there is short enough to be cut along them; what is only left over keeps them. */
    private static function later(Laid $rest, Laid $laid, bool $isUpright, int $begins): void
    {
        if ($laid->first === null && $laid->size === null) {
            return;
        }
        if ($laid->first !== null && $laid->second !== null && $laid->isUpright !== $isUpright) {
            $rest->cut($laid->isUpright, $laid->at);
            $rest->first === null || self::later($rest->first, $laid->first, $isUpright, $begins);
            $rest->second === null || self::later($rest->second, $laid->second, $isUpright, $begins);

            return;
        }
        self::within($rest, $isUpright, $begins, $isUpright ? $laid->width : $laid->height)->become($laid);
    }

    /** What lies between two rough edges, once they are cut off. */
    private static function within(Laid $part, bool $isUpright, int $begins, int $side): Laid
    {
        if ($begins > 0) {
            $part->cut($isUpright, $begins);
            $part = $part->second ?? $part;
        }
        if ($side < ($isUpright ? $part->width : $part->height)) {
            $part->cut($isUpright, $side);
            $part = $part->first ?? $part;
        }

        return $part;
    }

    private function number(Laid $whole): void
    {
        $lying = $whole->first === null ? [] : [$whole];
        $last = null;
        for ($n = 1; $lying !== []; $n++) {
            $next = 0;
            foreach ($lying as $i => $part) {
                $rank = fn (Laid $one): array => [$last !== null && $one->isUpright === $last->isUpright && $one->at === $last->at, $last !== null && $one->isUpright === $last->isUpright, $one->area()];
                $rank($part) > $rank($lying[$next]) && $next = $i;
            }
            $last = $lying[$next];
            array_splice($lying, $next, 1);
            $this->numbers[spl_object_id($last)] = $n;
            foreach ([$last->first, $last->second] as $part) {
                $part?->first === null || $lying[] = $part;
            }
        }
    }

    private function part(Laid $laid): Part
    {
        $kerf = $this->job->trimmer->kerf;
        [$width, $height] = [self::real($laid->width, $kerf), self::real($laid->height, $kerf)];
        if ($laid->first !== null && $laid->second !== null) {
            return Part::cut($width, $height, $this->numbers[spl_object_id($laid)], $laid->isUpright, Length::ofTicks($laid->at - $kerf->ticks), $this->part($laid->first), $this->part($laid->second));
        }
        if ($laid->size !== null) {
            $id = $laid->id ?? ($this->name)($laid->size);

            return Part::piece($width, $height, $id, ! $width->equals($this->job->wanted($id)->width ?? $width));
        }

        return Part::left($width, $height, self::isWorthKeeping($width, $height, $this->job->keep));
    }

    public static function isWorthKeeping(Length $width, Length $height, Rectangle $keep): bool
    {
        $holds = fn (Length $w, Length $h): bool => ! $w->isLessThan($keep->width) && ! $h->isLessThan($keep->height);

        return $width->isPositive() && $height->isPositive() && ($holds($width, $height) || $holds($height, $width));
    }

    /** Without the kerf that was added; what is thinner than the blade is gone. */
    private static function real(int $side, Length $kerf): Length
    {
        return Length::ofTicks(max(0, $side - $kerf->ticks));
    }
}
