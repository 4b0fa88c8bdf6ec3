<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Geometry\Point;

/**
 * A B-spline, rational where its weights differ (Piegl and Tiller, The NURBS Book, chapters 3 and 4; from memory).
 *
 * Invariant: degree at least 1, more points than the degree, as many weights as points, all positive, and knots that never
 * fall, one more than points and degree together.
 */
final readonly class Spline
{
    /** Drawing programs write 3, seldom 5; what is far beyond is no outline, only work. */
    public const MOST_DEGREE = 15;

    /** A span is halved at most so often. */
    private const DEEPEST = 8;

    /**
     * @param list<Point> $points
     * @param list<float> $weights
     * @param list<float> $knots
     */
    private function __construct(private int $degree, private array $points, private array $weights, private array $knots)
    {
    }

    /**
     * @param list<Point> $points
     * @param list<float> $weights all 1 where there are none
     * @param list<float> $knots
     * @return ?self null where these numbers are no spline
     */
    public static function of(int $degree, array $points, array $weights, array $knots): ?self
    {
        $weights = $weights === [] ? array_fill(0, count($points), 1.0) : $weights;
        $rises = $knots;
        sort($rises);
        $isOne = $degree >= 1 && $degree <= self::MOST_DEGREE && count($points) > $degree && count($weights) === count($points)
            && min($weights) > 0 && count($knots) === count($points) + $degree + 1 && $rises === $knots;

        return $isOne ? new self($degree, $points, $weights, $knots) : null;
    }

    /**
     * Straight pieces no farther than asked from the curve where they are looked at: at the middle of each.
     *
     * @return list<Point> its beginning and its end included
     *
     * @throws InvalidDocument when they are more than an outline has
     */
    public function drawn(float $tolerance): array
    {
        $drawn = [];
        for ($span = $this->degree; $span < count($this->points); $span++) {
            [$from, $to] = [$this->knots[$span], $this->knots[$span + 1]];
            if ($to <= $from) {
                continue;
            }
            $drawn === [] && $drawn[] = $this->at($from, $span);
            OutlineFile::keepWithin(count($drawn));
            // A span may turn as often as its degree says; halves of it are looked at alone.
            for ($i = 0; $i < $this->degree; $i++) {
                [$a, $b] = [$from + ($to - $from) * $i / $this->degree, $from + ($to - $from) * ($i + 1) / $this->degree];
                array_push($drawn, ...$this->between($span, $a, $drawn[count($drawn) - 1], $b, $this->at($b, $span), $tolerance, 0));
            }
        }

        return $drawn;
    }

    /** @return list<Point> without the first */
    private function between(int $span, float $from, Point $first, float $to, Point $last, float $tolerance, int $depth): array
    {
        $middle = ($from + $to) / 2;
        $point = $this->at($middle, $span);
        if ($depth >= self::DEEPEST || $depth > 0 && $point->minus($first->plus($last)->times(0.5))->length() <= $tolerance) {
            return [$point, $last];
        }

        return [...$this->between($span, $from, $first, $middle, $point, $tolerance, $depth + 1), ...$this->between($span, $middle, $point, $to, $last, $tolerance, $depth + 1)];
    }

    /** De Boor's algorithm on points that carry their weight. */
    private function at(float $t, int $span): Point
    {
        $d = [];
        for ($i = 0; $i <= $this->degree; $i++) {
            $at = $span - $this->degree + $i;
            $d[] = [$this->points[$at]->times($this->weights[$at]), $this->weights[$at]];
        }
        for ($round = 1; $round <= $this->degree; $round++) {
            for ($i = $this->degree; $i >= $round; $i--) {
                $low = $this->knots[$span - $this->degree + $i];
                $width = $this->knots[$span + 1 + $i - $round] - $low;
                $share = $width > 0 ? ($t - $low) / $width : 0.0;
                $d[$i] = [$d[$i - 1][0]->times(1 - $share)->plus($d[$i][0]->times($share)), $d[$i - 1][1] * (1 - $share) + $d[$i][1] * $share];
            }
        }
        [$point, $weight] = $d[$this->degree];

        return $point->times(1 / $weight);
    }
}
