<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * What lies beside one another in a sheet, put in order: alike next to alike, what is left over in one piece at the end; what is cut the
 * same way in each of several parts alike is cut through all of them before they are parted; and equal pieces that share their scores are
 * cut off together, so that they can be scored before they are parted.
 */
final readonly class Rows
{
    private function __construct(private Sizes $sizes, private Usable $bench)
    {
    }

    public static function arranged(Laid $laid, Sizes $sizes, Usable $bench): Laid
    {
        return (new self($sizes, $bench))->of($laid);
    }

    private function of(Laid $laid): Laid
    {
        if ($laid->first === null || $laid->second === null) {
            return $laid;
        }
        $isUpright = $laid->isUpright;
        $parts = array_merge(...array_values(array_map(fn (array $group): array => $this->together($group, $isUpright), $this->groups($laid, $isUpright))));

        return $parts !== [] && $this->isMeasured($parts, $isUpright) ? self::row($parts, $isUpright) : $laid;
    }

    /**
     * What is cut off as one of what lies there alike: all of it where it is cut through or shares scores, else each.
     *
     * @param non-empty-list<Laid> $alike
     * @return non-empty-list<Laid>
     */
    private function together(array $alike, bool $isUpright): array
    {
        $through = $this->through($alike, $isUpright);

        return match (true) {
            $through !== null => [$through],
            $this->sharesScores($alike[0], $isUpright) => [self::row($alike, $isUpright)],
            default => $alike,
        };
    }

    /** @return array<string, non-empty-list<Laid>> what lies there alike, in the order in which it first comes; what is left over at the end, in one piece */
    private function groups(Laid $laid, bool $isUpright): array
    {
        [$groups, $left] = [[], 0];
        foreach (self::beside($laid, $isUpright) as $one) {
            $one = $this->of($one);
            if (self::isLeft($one)) {
                $left += self::side($one, $isUpright);
            } else {
                // What is cut off across at the same place, leaving a strip over, is alike whatever it is cut into.
                $groups[$one->isUpright !== $isUpright && $one->first !== null && self::isLeft($one->second) ? "over $one->at" : self::key($one)][] = $one;
            }
        }
        $left === 0 || $groups['left'] = [$isUpright ? new Laid($left, $laid->height) : new Laid($laid->width, $left)];

        return $groups;
    }

    /**
     * Parts beside one another, cut off one after another.
     *
     * @param non-empty-list<Laid> $parts
     */
    private static function row(array $parts, bool $isUpright): Laid
    {
        $others = array_slice($parts, 1);
        if ($others === []) {
            return $parts[0];
        }
        $rest = self::row($others, $isUpright);
        $row = $isUpright ? new Laid($parts[0]->width + $rest->width, $rest->height) : new Laid($rest->width, $parts[0]->height + $rest->height);
        $row->cut($isUpright, self::side($parts[0], $isUpright));
        $row->first?->become($parts[0]);
        $row->second?->become($rest);

        return $row;
    }

    /**
     * Parts alike that are each cut across at the same place: cut through all of them first, where a strip is left whole by it or scores are
     * shared. Null elsewhere, or where the trimmer does not reach.
     *
     * @param non-empty-list<Laid> $alike
     */
    private function through(array $alike, bool $isUpright): ?Laid
    {
        $first = $alike[0];
        $length = array_sum(array_map(fn (Laid $one): int => self::side($one, $isUpright), $alike));
        // Not along a roll, from section to section.
        $isFree = ($isUpright || ! $this->bench->stock->isRoll) && $this->bench->measures === null && $this->bench->trimsFirst === null && ($this->bench->longest === null || $length <= $this->bench->longest);
        if (count($alike) < 2 || $first->first === null || $first->second === null || $first->isUpright === $isUpright || ! $isFree) {
            return null;
        }
        if (! self::isLeft($first->second) && ! $this->sharesScores($first->first, $isUpright)) {
            // Columns as they are, or rows: neither saves a cut.
            return null;
        }
        $whole = $isUpright ? new Laid($length, $first->height) : new Laid($first->width, $length);
        $whole->cut($first->isUpright, $first->at);
        foreach ([[$whole->first, fn (Laid $one): ?Laid => $one->first], [$whole->second, fn (Laid $one): ?Laid => $one->second]] as [$half, $of]) {
            $parts = array_values(array_filter(array_map($of, $alike)));
            if ($parts !== [] && ! self::isLeft($parts[0])) {
                $half?->become($this->of(self::row($parts, $isUpright)));
            }
        }

        return $whole;
    }

    private function sharesScores(Laid $piece, bool $isUpright): bool
    {
        if ($piece->size === null) {
            return false;
        }
        $isTurned = $piece->width !== $this->sizes->widths[$piece->size];

        return $this->sizes->rows[$piece->size][$isUpright === $isTurned ? 'height' : 'width'];
    }

    /**
     * Whether each is cut off near enough to one of the edges for the trimmer to measure it.
     *
     * @param list<Laid> $parts
     */
    private function isMeasured(array $parts, bool $isUpright): bool
    {
        $left = array_sum(array_map(fn (Laid $one): int => self::side($one, $isUpright), $parts));
        foreach ($this->bench->measures === null ? [] : $parts as $one) {
            $at = self::side($one, $isUpright);
            $left -= $at;
            if (min($at, $left) > $this->bench->measures) {
                return false;
            }
        }

        return true;
    }

    private static function isLeft(?Laid $part): bool
    {
        return $part !== null && $part->first === null && $part->size === null;
    }

    private static function side(Laid $laid, bool $isUpright): int
    {
        return $isUpright ? $laid->width : $laid->height;
    }

    /** @return list<Laid> what lies beside one another, parted by cuts of that kind only */
    private static function beside(Laid $laid, bool $isUpright): array
    {
        return $laid->first === null || $laid->second === null || $laid->isUpright !== $isUpright ? [$laid] : [...self::beside($laid->first, $isUpright), ...self::beside($laid->second, $isUpright)];
    }

    private static function key(Laid $laid): string
    {
        return "{$laid->width} {$laid->height} ".($laid->first === null || $laid->second === null ? $laid->size ?? '-' : ($laid->isUpright ? '|' : '_').'('.self::key($laid->first).')('.self::key($laid->second).')');
    }
}
