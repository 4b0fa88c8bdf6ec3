<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Geometry\Point;
use LogicException;

/**
 * A line on a flat sheet, as a hand finds it, and where it lies then.
 *
 * Frame: the sheet as cut, its lower left corner the origin, millimetres, x right, y up. Which of the fields say something
 * depends on the way it is found: docs/steps.md, "Lines".
 */
final readonly class Line
{
    private const OUT = ['left' => [-1, 0], 'right' => [1, 0], 'bottom' => [0, -1], 'top' => [0, 1]];

    /** Lines as nearly parallel as this meet nowhere. */
    private const PARALLEL = 1e-9;

    /**
     * @param Point $through a point of it
     * @param Point $along its direction, of length 1
     * @param ?string $edge it is parallel to, so far inside it
     * @param ?string $corner across whose diagonal it lies, so far along that; of a rail: the corner that lies beside it
     * @param ?string $line id of an earlier line that it is, or is parallel to
     * @param float $at the reading, mm
     * @param ?float $off beside the earlier line, or less than the reading along the diagonal, mm
     * @param ?string $towards the edge on whose side of the earlier line it lies
     * @param list<Spot> $spots its two ends, the one it goes through, or the one that lies on the rail
     * @param ?float $deg its direction, anticlockwise from the x axis
     * @param ?string $meets the edge at which a cut along the rail comes out
     */
    private function __construct(
        public Point $through, public Point $along,
        public ?string $edge = null, public ?string $corner = null, public ?string $line = null,
        public float $at = 0.0, public ?float $off = null, public ?string $towards = null,
        public array $spots = [], public ?float $deg = null, public ?string $meets = null,
    ) {
    }

    /** Parallel to an edge, so far inside it. */
    public static function fromEdge(string $edge, float $at, float $width, float $height): self
    {
        return match ($edge) {
            'left' => new self(new Point($at, 0), new Point(0, 1), edge: $edge, at: $at),
            'right' => new self(new Point($width - $at, 0), new Point(0, 1), edge: $edge, at: $at),
            'bottom' => new self(new Point(0, $at), new Point(1, 0), edge: $edge, at: $at),
            'top' => new self(new Point(0, $height - $at), new Point(1, 0), edge: $edge, at: $at),
            default => throw new LogicException("$edge is no edge."),
        };
    }

    /** Across the diagonal of a square from that corner, at $at - $off along it. */
    public static function acrossCorner(string $corner, float $at, float $off, float $width, float $height): self
    {
        [$x, $y] = self::ofCorner($corner);
        $in = ($at - $off) / M_SQRT2;
        [$inX, $inY] = [1 - 2 * $x, 1 - 2 * $y];

        return new self(new Point($x * $width + $inX * $in, $y * $height + $inY * $in), new Point($inX * M_SQRT1_2, -$inY * M_SQRT1_2), corner: $corner, at: $at, off: $off);
    }

    /** An earlier line, or its parallel on the side of an edge. */
    public function again(string $id, ?float $off = null, ?string $towards = null): self
    {
        if ($off === null || $towards === null) {
            return new self($this->through, $this->along, line: $id);
        }
        $square = new Point(-$this->along->y, $this->along->x);
        [$x, $y] = self::OUT[$towards] ?? throw new LogicException("$towards is no edge.");
        $side = $square->dot(new Point($x, $y));
        abs($side) > self::PARALLEL || throw new LogicException("Line $id has no side towards $towards.");

        return new self($this->through->plus($square->times($off * ($side > 0 ? 1 : -1))), $this->along, line: $id, off: $off, towards: $towards);
    }

    public static function between(Spot $from, Spot $to): self
    {
        $way = $to->is->minus($from->is);

        return new self($from->is, $way->times(1 / max($way->length(), PHP_FLOAT_MIN)), spots: [$from, $to]);
    }

    /** @param float $deg anticlockwise from the x axis */
    public static function through(Spot $spot, float $deg): self
    {
        return new self($spot->is, new Point(cos(deg2rad($deg)), sin(deg2rad($deg))), spots: [$spot], deg: $deg);
    }

    /**
     * Along the trimmer's rail: a point lies on it, a corner so far beside it, which is cut off towards an edge.
     *
     * The corner's distance k from a line through a point l away from it along one edge: the line meets the other edge at
     * l·k/√(l² − k²) from the corner (docs/formulas.md, "Slant-gate card").
     */
    public static function alongRail(Spot $on, string $corner, float $at, string $meets, float $width, float $height): self
    {
        [$x, $y] = self::ofCorner($corner);
        $foot = new Point($x * $width, $y * $height);
        $far = $on->is->minus($foot)->length();
        $out = $far * $at / sqrt($far ** 2 - $at ** 2);
        $edge = in_array($meets, ['left', 'right'], true) ? new Point(0, 1 - 2 * $y) : new Point(1 - 2 * $x, 0);
        $way = $foot->plus($edge->times($out))->minus($on->is);

        return new self($on->is, $way->times(1 / $way->length()), corner: $corner, at: $at, spots: [$on], meets: $meets);
    }

    public function crossing(self $other): Point
    {
        $cross = $this->along->cross($other->along);
        abs($cross) > self::PARALLEL || throw new LogicException('Two lines that are parallel meet nowhere.');

        return $this->through->plus($this->along->times($other->through->minus($this->through)->cross($other->along) / $cross));
    }

    /** @return array{int, int} 0 or 1 for left or right, bottom or top */
    private static function ofCorner(string $corner): array
    {
        return match ($corner) {
            'bottom-left' => [0, 0], 'bottom-right' => [1, 0], 'top-left' => [0, 1], 'top-right' => [1, 1],
            default => throw new LogicException("$corner is no corner."),
        };
    }
}
