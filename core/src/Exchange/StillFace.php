<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Geometry\Vector;

/** One flat face of a still picture, in space and as the eye sees it. */
final readonly class StillFace
{
    /** Points nearer than this to a plane lie in it, mm. */
    private const ON_PLANE_MM = 0.05;

    /** @var array{float, float, float, float} its left, right, top and bottom in the picture */
    private array $box;

    /** @var list<array{float, float, float, float, float, bool, bool}> a point and the direction of each side in the picture, what is near to it, and whether all of the face is on its right, on its left */
    private array $sides;

    /**
     * @param list<Vector> $ring
     * @param list<float> $xs of the picture, to the right
     * @param list<float> $ys of the picture, downwards
     * @param Vector $normal towards the eye
     * @param list<int> $seams sides on which nothing is seen
     * @param ?string $colour of its paper, where it is known
     */
    private function __construct(public array $ring, public array $xs, public array $ys, private Vector $normal, public float $light, public string $side, public array $seams = [], public ?string $colour = null)
    {
        $this->box = [min([INF, ...$xs]), max([-INF, ...$xs]), min([INF, ...$ys]), max([-INF, ...$ys])];
        $this->sides = self::sidesIn($xs, $ys);
    }

    /**
     * @param list<Vector> $ring
     * @param array{Vector, Vector, Vector} $camera to the right, upwards, towards the eye
     * @param ?string $side what it is, where it is no paper
     * @param list<int> $seams sides on which nothing is seen
     */
    public static function of(array $ring, array $camera, Vector $light, ?string $side, array $seams = [], ?string $colour = null): self
    {
        [$right, $up, $towards] = $camera;
        $normal = Overlap::normal($ring);
        $isSeenFromInside = $normal->dot($towards) > 0;
        $seen = $isSeenFromInside ? $normal : $normal->times(-1);

        return new self(
            $ring,
            array_map(fn (Vector $v) => $v->dot($right), $ring),
            array_map(fn (Vector $v) => -$v->dot($up), $ring),
            $seen, round(0.5 + 0.5 * $seen->dot($light), 2), $side ?? ($isSeenFromInside ? 'in' : 'out'), $seams, $colour,
        );
    }

    /** How near its middle is to the eye. */
    public function nearness(Vector $towards): float
    {
        $sum = 0.0;
        foreach ($this->ring as $corner) {
            $sum += $corner->dot($towards);
        }

        return $sum / max(1, count($this->ring));
    }

    /** Whether it must be drawn after the other: they meet in the picture, and it lies on the other's near side or has it on its far one. */
    public function covers(self $other): bool
    {
        if ($this->isApart($other) || $this->isBeside($other) || $other->isBeside($this)) {
            return false;
        }
        [$isBehind, $isBefore] = $other->sidesOf($this->ring);
        if ($isBefore xor $isBehind) {
            return $isBefore;
        }
        [$otherBehind, $otherBefore] = $this->sidesOf($other->ring);

        return $otherBehind && ! $otherBefore;
    }

    /** Whether their boxes in the picture do not even meet: soon seen, and true of most. */
    private function isApart(self $other): bool
    {
        [$left, $right, $top, $bottom] = $other->box;

        return $this->box[0] >= $right || $this->box[1] <= $left || $this->box[2] >= $bottom || $this->box[3] <= $top;
    }

    /** Whether one of its sides has all of it on one hand and all of the other face on the other, in the picture. */
    private function isBeside(self $other): bool
    {
        foreach ($this->sides as [$x, $y, $dx, $dy, $near, $isRight, $isLeft]) {
            foreach ($other->xs as $k => $px) {
                $off = $dx * ($other->ys[$k] - $y) - $dy * ($px - $x);
                $isRight = $isRight && $off < $near;
                $isLeft = $isLeft && $off > -$near;
                if (! $isRight && ! $isLeft) {
                    continue 2;
                }
            }

            return true;
        }

        return false;
    }

    /**
     * @param list<float> $xs
     * @param list<float> $ys
     * @return list<array{float, float, float, float, float, bool, bool}> sides long enough to have a direction
     */
    private static function sidesIn(array $xs, array $ys): array
    {
        $sides = [];
        $last = count($xs) - 1;
        foreach ($xs as $i => $x) {
            [$y, $dx, $dy] = [$ys[$i], $x - $xs[$last], $ys[$i] - $ys[$last]];
            $last = $i;
            $near = self::ON_PLANE_MM * hypot($dx, $dy);
            if ($near < self::ON_PLANE_MM * self::ON_PLANE_MM) {
                continue;
            }
            [$isRight, $isLeft] = [true, true];
            foreach ($xs as $k => $px) {
                $off = $dx * ($ys[$k] - $y) - $dy * ($px - $x);
                $isRight = $isRight && $off > -$near;
                $isLeft = $isLeft && $off < $near;
            }
            if ($isRight || $isLeft) {
                $sides[] = [$x, $y, $dx, $dy, $near, $isRight, $isLeft];
            }
        }

        return $sides;
    }

    /**
     * @param list<Vector> $ring
     * @return array{bool, bool} whether some of it lies behind this face's plane, and some before it
     */
    private function sidesOf(array $ring): array
    {
        [$from, $n] = [$this->ring[0], $this->normal];
        $level = $from->x * $n->x + $from->y * $n->y + $from->z * $n->z;
        [$isBehind, $isBefore] = [false, false];
        foreach ($ring as $v) {
            $apart = $v->x * $n->x + $v->y * $n->y + $v->z * $n->z - $level;
            $isBehind = $isBehind || $apart < -self::ON_PLANE_MM;
            $isBefore = $isBefore || $apart > self::ON_PLANE_MM;
        }

        return [$isBehind, $isBefore];
    }
}
