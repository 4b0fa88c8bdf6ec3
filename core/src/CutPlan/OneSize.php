<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * As many pieces of one size as come out of a sheet by edge-to-edge cuts: exactly the most, worked out part by part.
 *
 * A cut need only be looked at where pieces beside one another end (normal patterns: Christofides and Whitlock, Operations Research 25,
 * 1977), and a part only by what fits into it. Beyond a bound of work only cuts beside one row are looked at.
 */
final class OneSize
{
    private const MOST_PARTS = 40_000;

    /** @var list<int> where pieces beside one another can end */
    private array $ends;

    private bool $isRowsOnly;

    private int $parts = 0;

    /** @var array<int, array<int, array{int, bool, int}>> how many, and by which cut, by width and height */
    private array $known = [];

    private function __construct(private readonly int $a, private readonly int $b, int $width, int $height)
    {
        $this->ends = $this->endsUpTo(max($width, $height));
        $of = fn (int $most): int => count(array_filter($this->ends, fn (int $end) => $end <= $most));
        $this->isRowsOnly = $of($width) * $of($height) > self::MOST_PARTS;
    }

    /** The sheet cut into as many as come out of it; null where none does. */
    public static function most(int $width, int $height, int $a, int $b, bool $mayTurn): ?Laid
    {
        if (! $mayTurn || $a === $b) {
            return self::grid($width, $height, $a, $b);
        }
        $one = new self($a, $b, $width, $height);
        $root = new Laid($width, $height);

        return $one->count($width, $height) === 0 ? null : $one->cut($root);
    }

    /** Pieces that lie alike, in rows and columns. */
    private static function grid(int $width, int $height, int $a, int $b): ?Laid
    {
        if ($a > $width || $b > $height) {
            return null;
        }
        $root = new Laid($width, $height);
        for ($column = $root; $column !== null; $column = $column->first === null ? null : $column->second) {
            if ($column->width < $a) {
                break;
            }
            $column->width > $a && $column->cut(true, $a);
            for ($piece = $column->first ?? $column; $piece !== null; $piece = $piece->second) {
                if ($piece->height < $b) {
                    break;
                }
                if ($piece->height === $b) {
                    $piece->size = 0;

                    break;
                }
                $piece->cut(false, $b);
                $piece->first === null || $piece->first->size = 0;
            }
            if ($column->second === null) {
                break;
            }
        }

        return $root;
    }

    private function count(int $width, int $height): int
    {
        return $this->known($width, $height)[0];
    }

    /** @return array{int, bool, int} how many, whether the first cut is upright, and where; at 0 where it is the piece itself or nothing */
    private function known(int $width, int $height): array
    {
        [$w, $h] = [$this->fitted($width), $this->fitted($height)];
        if (isset($this->known[$w][$h])) {
            return $this->known[$w][$h];
        }
        $isPiece = ($this->a <= $w && $this->b <= $h) || ($this->b <= $w && $this->a <= $h);
        if (! $isPiece) {
            return $this->known[$w][$h] = [0, true, 0];
        }
        $most = intdiv($w * $h, $this->a * $this->b);
        $best = [1, true, 0];
        if (++$this->parts > self::MOST_PARTS) {
            // Small pieces on a large sheet: rows of one kind come within a few of the most.
            $ways = [[intdiv($w, $this->a) * intdiv($h, $this->b), $this->a, $this->b], [intdiv($w, $this->b) * intdiv($h, $this->a), $this->b, $this->a]];
            [$count, $x, $y] = max($ways[0], $ways[1]);

            return $count > 1 ? [$count, $w > $x, $w > $x ? $x : $y] : $best;
        }
        foreach ([true, false] as $isUpright) {
            $side = $isUpright ? $w : $h;
            foreach ($this->isRowsOnly ? [min($this->a, $this->b), max($this->a, $this->b)] : $this->ends as $at) {
                if (($this->isRowsOnly ? $at >= $side : 2 * $at > $side) || $best[0] === $most) {
                    break;
                }
                $count = $isUpright ? $this->count($at, $h) + $this->count($w - $at, $h) : $this->count($w, $at) + $this->count($w, $h - $at);
                $count > $best[0] && $best = [$count, $isUpright, $at];
            }
        }

        return $this->known[$w][$h] = $best;
    }

    private function cut(Laid $part): Laid
    {
        [$count, $isUpright, $at] = $this->known($part->width, $part->height);
        if ($count === 0) {
            return $part;
        }
        if ($at > 0) {
            $part->cut($isUpright, $at);
            $part->first === null || $this->cut($part->first);
            $part->second === null || $this->cut($part->second);

            return $part;
        }
        $turned = $this->a > $part->width || $this->b > $part->height;
        [$w, $h] = $turned ? [$this->b, $this->a] : [$this->a, $this->b];
        $rest = $part;
        foreach ([[true, $w, $rest->width], [false, $h, $rest->height]] as [$upright, $to, $from]) {
            if ($to < $from) {
                $rest->cut($upright, $to);
                $rest = $rest->first ?? $rest;
            }
        }
        $rest->size = 0;

        return $part;
    }

    /** The furthest end within a length. */
    private function fitted(int $length): int
    {
        [$low, $high] = [0, count($this->ends)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $this->ends[$middle] <= $length ? $low = $middle + 1 : $high = $middle;
        }

        return $this->ends[$low - 1] ?? 0;
    }

    /** @return list<int> */
    private function endsUpTo(int $most): array
    {
        $ends = [];
        for ($x = 0; $x <= $most; $x += $this->a) {
            for ($y = $x; $y <= $most; $y += $this->b) {
                $y > 0 && $ends[$y] = true;
            }
        }
        ksort($ends);

        return array_keys($ends);
    }
}
