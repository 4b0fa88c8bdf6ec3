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

    /**
     * @param list<Vector> $ring
     * @param list<float> $xs of the picture, to the right
     * @param list<float> $ys of the picture, downwards
     * @param Vector $normal towards the eye
     */
    private function __construct(public array $ring, public array $xs, public array $ys, private Vector $normal, public float $light, public string $side)
    {
        $this->box = [min([INF, ...$xs]), max([-INF, ...$xs]), min([INF, ...$ys]), max([-INF, ...$ys])];
    }

    /**
     * @param list<Vector> $ring
     * @param array{Vector, Vector, Vector} $camera to the right, upwards, towards the eye
     * @param ?string $side what it is, where it is no paper
     */
    public static function of(array $ring, array $camera, Vector $light, ?string $side): self
    {
        [$right, $up, $towards] = $camera;
        $normal = Overlap::normal($ring);
        $isSeenFromInside = $normal->dot($towards) > 0;
        $seen = $isSeenFromInside ? $normal : $normal->times(-1);

        return new self(
            $ring,
            array_map(fn (Vector $v) => $v->dot($right), $ring),
            array_map(fn (Vector $v) => -$v->dot($up), $ring),
            $seen, round(0.5 + 0.5 * $seen->dot($light), 2), $side ?? ($isSeenFromInside ? 'in' : 'out'),
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
        $last = count($this->xs) - 1;
        foreach ($this->xs as $i => $x) {
            [$y, $dx, $dy] = [$this->ys[$i], $x - $this->xs[$last], $this->ys[$i] - $this->ys[$last]];
            $last = $i;
            $near = self::ON_PLANE_MM * hypot($dx, $dy);
            if ($near < self::ON_PLANE_MM * self::ON_PLANE_MM) {
                continue;
            }
            [$ownLeast, $ownMost] = [0.0, 0.0];
            foreach ($this->xs as $k => $px) {
                $off = $dx * ($this->ys[$k] - $y) - $dy * ($px - $x);
                $ownLeast = min($ownLeast, $off);
                $ownMost = max($ownMost, $off);
            }
            [$isRight, $isLeft] = [$ownLeast > -$near, $ownMost < $near];
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
     * @param list<Vector> $ring
     * @return array{bool, bool} whether some of it lies behind this face's plane, and some before it
     */
    private function sidesOf(array $ring): array
    {
        $apart = array_map(fn (Vector $v) => $v->minus($this->ring[0])->dot($this->normal), $ring);

        return [min([0.0, ...$apart]) < -self::ON_PLANE_MM, max([0.0, ...$apart]) > self::ON_PLANE_MM];
    }
}
