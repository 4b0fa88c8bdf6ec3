<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * Fills one sheet, part by part: the smallest part that is left gets the piece that leaves least of it, and what is left beside that becomes
 * two parts. Tried several times with other weights, the same each time for the same seed. Derived here.
 */
final class Filling
{
    /** How much it counts that a piece takes a part's whole width or height. */
    private const EXACT = 0.6;

    private int $seed;

    private ?Laid $root = null;

    /** Sizes looked at so far. */
    public int $looked = 0;

    /**
     * @param ?int $longest cut, ticks with a kerf added; null for any
     * @param ?bool $trimsFirst see Hand::trimsFirst
     * @param ?int $measures how far the trimmer is set at the most, ticks with a kerf added; null for any
     */
    public function __construct(private readonly Sizes $sizes, private readonly ?int $longest, private readonly ?int $measures = null, int $seed = 1, private readonly ?bool $trimsFirst = null)
    {
        $this->seed = $seed;
    }

    /**
     * The fullest of several tries.
     *
     * @param list<int> $counts how many there still are of each size
     * @param list<bool> $may which sizes may come out of it
     * @return ?Laid null where none fits
     */
    public function best(int $width, int $height, array $counts, array $may, int $tries): ?Laid
    {
        [$best, $most] = [null, 0.0];
        $area = $width * $height;
        for ($try = 0; $try < $tries; $try++) {
            $laid = $this->fill($width, $height, $counts, $may, $try === 0 ? 0.0 : 0.1 + 0.3 * $this->random());
            [$filled, $worth, $left] = [0, 0.0, 0];
            foreach ($laid->leaves() as $leaf) {
                $one = $leaf->area();
                if ($leaf->size === null) {
                    $left = max($left, $one);
                } else {
                    $filled += $one;
                    // Large pieces are harder to place later.
                    $worth += $one * (1 + 0.15 * sqrt($one / $area));
                }
            }
            $worth = $worth / $area + 0.02 * $left / $area;
            if ($filled > 0 && $worth > $most) {
                [$best, $most] = [$laid, $worth];
            }
            if ($filled === $area) {
                return $laid;
            }
        }

        return $best;
    }

    /**
     * @param list<int> $counts
     * @param list<bool> $may
     */
    private function fill(int $width, int $height, array $counts, array $may, float $noise): Laid
    {
        $this->root = $root = new Laid($width, $height);
        $free = [$root];
        [$widths, $heights, $mayTurn] = [$this->sizes->widths, $this->sizes->heights, $this->sizes->mayTurn];
        while ($free !== []) {
            $at = 0;
            foreach ($free as $i => $part) {
                $part->width * $part->height < $free[$at]->width * $free[$at]->height && $at = $i;
            }
            $part = $free[$at];
            array_splice($free, $at, 1);
            [$w, $h] = [$part->width, $part->height];
            $area = $w * $h;
            [$best, $size, $turned] = [-1.0, null, false];
            foreach ($counts as $s => $count) {
                if ($count < 1 || ! $may[$s]) {
                    continue;
                }
                $this->looked++;
                [$a, $b] = [$widths[$s], $heights[$s]];
                $chance = $noise > 0.0 ? $noise * (($this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF) / 0x7FFFFFFF) : 0.0;
                $shared = $a * $b / $area + $chance;
                if ($a <= $w && $b <= $h && ($score = $shared + ($a === $w ? self::EXACT : 0) + ($b === $h ? self::EXACT : 0)) > $best) {
                    [$best, $size, $turned] = [$score, $s, false];
                }
                // As likely as not it is better the other way round.
                if ($mayTurn[$s] && $b <= $w && $a <= $h && ($score = $shared + ($noise / 2 - $chance) / 2 + ($b === $w ? self::EXACT : 0) + ($a === $h ? self::EXACT : 0)) > $best) {
                    [$best, $size, $turned] = [$score, $s, true];
                }
            }
            if ($size === null) {
                continue;
            }
            $placed = $this->place($part, $size, $turned, $free, $noise);
            $placed && $counts[$size]--;
        }

        return $root;
    }

    /**
     * A piece in the lower left corner of a part; what is left becomes free.
     *
     * @param list<Laid> $free
     * @return bool whether the trimmer gets it out
     */
    private function place(Laid $part, int $size, bool $turned, array &$free, float $noise): bool
    {
        [$a, $b] = [$this->sizes->widths[$size], $this->sizes->heights[$size]];
        [$w, $h] = $turned ? [$b, $a] : [$a, $b];
        [$dw, $dh] = [$part->width - $w, $part->height - $h];
        $isLong = fn (int $cut): bool => $this->longest !== null && $cut > $this->longest;
        // Rough edges that are cut off later are cut along the piece itself, where that goes from the one to the other.
        $isRough = match ($this->trimsFirst) {
            false => $part->width === $this->root?->width && $dw === 0 && $isLong($h),
            true => $part->height === $this->root?->height && $dh === 0 && $isLong($w),
            null => false,
        };
        if ($isRough) {
            return false;
        }
        // What is far from the rail is set from the other edge.
        $isFar = fn (int $at, int $left): bool => $this->measures !== null && $at > $this->measures && $left > $this->measures;
        if ($isFar($w, $dw) || $isFar($h, $dh)) {
            return false;
        }
        // Upright first: the cut is as long as the part is high, the second as the piece is wide.
        $mayUpright = ! ($dw > 0 && $isLong($part->height)) && ! ($dh > 0 && $isLong($w));
        $mayLevel = ! ($dh > 0 && $isLong($part->width)) && ! ($dw > 0 && $isLong($h));
        if (! $mayUpright && ! $mayLevel) {
            return false;
        }
        $upright = $mayUpright && (! $mayLevel || $this->isUprightBetter($part, $dw, $dh, $w, $h, $noise));
        $rest = $part;
        foreach ($upright ? [true, false] : [false, true] as $isUpright) {
            if (($isUpright ? $dw : $dh) > 0) {
                $rest->cut($isUpright, $isUpright ? $w : $h);
                $rest->second === null || $free[] = $rest->second;
                $rest = $rest->first ?? $rest;
            }
        }
        $rest->size = $size;

        return true;
    }

    /** Whether the larger of what is left stays larger that way. */
    private function isUprightBetter(Laid $part, int $dw, int $dh, int $w, int $h, float $noise): bool
    {
        $upright = max($dw * $part->height, $w * $dh);
        $level = max($dw * $h, $part->width * $dh);

        return $upright * (1 + $noise * ($this->random() - 0.5) * 4) >= $level;
    }

    private function random(): float
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return $this->seed / 0x7FFFFFFF;
    }
}
