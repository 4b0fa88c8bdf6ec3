<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** A rigid motion of space: three images of the axes and one of the origin. Never stretches, never mirrors. */
final readonly class Motion
{
    private function __construct(private Vector $x, private Vector $y, private Vector $z, private Vector $origin)
    {
    }

    public static function none(): self
    {
        return new self(new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1), new Vector(0, 0, 0));
    }

    /**
     * A turn about the line from $from to $to lying on the flat sheet, anticlockwise seen from $to towards $from.
     * (Rodrigues' rotation formula.)
     */
    public static function about(Point $from, Point $to, float $degrees): self
    {
        $axis = Vector::onSheet($to->minus($from))->unit();
        // Right angles and flat folds are exact, so that a closed box closes to the last bit.
        [$cos, $sin] = match ($degrees) {
            90.0 => [0.0, 1.0], -90.0 => [0.0, -1.0], 180.0, -180.0 => [-1.0, 0.0],
            default => [cos(deg2rad($degrees)), sin(deg2rad($degrees))],
        };
        $turn = fn (Vector $v): Vector => $v->times($cos)->plus($axis->cross($v)->times($sin))->plus($axis->times($axis->dot($v) * (1 - $cos)));
        $start = Vector::onSheet($from);

        return new self(
            $turn(new Vector(1, 0, 0)), $turn(new Vector(0, 1, 0)), $turn(new Vector(0, 0, 1)),
            $start->minus($turn($start)),
        );
    }

    public function applyTo(Vector $v): Vector
    {
        return $this->turn($v)->plus($this->origin);
    }

    /** This motion done after $first. */
    public function after(self $first): self
    {
        return new self($this->turn($first->x), $this->turn($first->y), $this->turn($first->z), $this->applyTo($first->origin));
    }

    private function turn(Vector $v): Vector
    {
        return $this->x->times($v->x)->plus($this->y->times($v->y))->plus($this->z->times($v->z));
    }
}
