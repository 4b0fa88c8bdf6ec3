<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;

/**
 * A hole in a sheet: its shape, its size and where its middle lies, in millimetres on that sheet.
 *
 * What is round is cut along it and stands in patterns by chords no further inside it than a fiftieth of a millimetre.
 */
final readonly class Opening
{
    private const SAGITTA_MM = 0.02;

    /**
     * @param Point $middle of its box
     * @param float $radius of a rectangle's corners
     * @param list<Point> $outline of one that was taken in, from its middle
     */
    private function __construct(public OpeningKind $kind, public Point $middle, public float $width, public float $height, public float $radius, private array $outline)
    {
    }

    public static function rectangle(float $width, float $height, float $radius = 0.0): self
    {
        return new self(OpeningKind::Rectangle, new Point(0, 0), $width, $height, min($radius, $width / 2, $height / 2), []);
    }

    public static function circle(float $across): self
    {
        return new self(OpeningKind::Circle, new Point(0, 0), $across, $across, 0.0, []);
    }

    public static function oval(float $width, float $height): self
    {
        return new self(OpeningKind::Oval, new Point(0, 0), $width, $height, 0.0, []);
    }

    /** @param non-empty-list<Point> $ring */
    public static function outline(array $ring): self
    {
        [$xs, $ys] = [array_map(fn (Point $p) => $p->x, $ring), array_map(fn (Point $p) => $p->y, $ring)];
        $middle = new Point((min($xs) + max($xs)) / 2, (min($ys) + max($ys)) / 2);

        return new self(OpeningKind::Outline, new Point(0, 0), max($xs) - min($xs), max($ys) - min($ys), 0.0, array_map(fn (Point $p) => $p->minus($middle), Polygon::of($ring)->points));
    }

    public function at(Point $middle): self
    {
        return new self($this->kind, $middle, $this->width, $this->height, $this->radius, $this->outline);
    }

    /** The same hole as another sheet has it, on which it lies turned: whole quarters for what is not round. */
    public function turned(float $radians, Point $middle): self
    {
        [$cos, $sin] = [cos($radians), sin($radians)];
        if (abs($cos) > 1e-9 && abs($sin) > 1e-9 && in_array($this->kind, [OpeningKind::Rectangle, OpeningKind::Oval], true)) {
            // Neither straight nor a quarter round: by its corners.
            return (new self(OpeningKind::Outline, $middle, $this->width, $this->height, 0.0, array_map(fn (Point $p) => $p->minus($this->middle), $this->points())))->turned($radians, $middle);
        }
        $isAcross = abs($sin) > M_SQRT1_2 && $this->kind !== OpeningKind::Outline;

        return new self(
            $this->kind, $middle, $isAcross ? $this->height : $this->width, $isAcross ? $this->width : $this->height, $this->radius,
            array_map(fn (Point $p) => new Point($p->x * $cos - $p->y * $sin, $p->x * $sin + $p->y * $cos), $this->outline),
        );
    }

    /** Larger by so much to the left and to the right, and so much below and above; rounded corners go on being rounded about the same middle. */
    public function grown(float $wider, float $higher): self
    {
        if ($this->outline !== []) {
            // What is drawn out need not lie about the same middle.
            $larger = self::outline(self::outset($this->points(), $wider));
            $points = self::outset($this->points(), $wider);
            [$xs, $ys] = [array_map(fn (Point $p) => $p->x, $points), array_map(fn (Point $p) => $p->y, $points)];

            return $larger->at(new Point((min($xs) + max($xs)) / 2, (min($ys) + max($ys)) / 2));
        }

        return new self($this->kind, $this->middle, $this->width + 2 * $wider, $this->height + 2 * ($this->kind === OpeningKind::Circle ? $wider : $higher), $this->radius > 0 ? $this->radius + min($wider, $higher) : 0.0, []);
    }

    public function polygon(): Polygon
    {
        return Polygon::of($this->points());
    }

    /** @return list<Point> its vertices, anticlockwise, from the middle of its right side on or its lower left corner */
    public function points(): array
    {
        [$c, $a, $b] = [$this->middle, $this->width / 2, $this->height / 2];

        return match ($this->kind) {
            OpeningKind::Outline => array_map($c->plus(...), $this->outline),
            OpeningKind::Rectangle => $this->corners(),
            OpeningKind::Circle, OpeningKind::Oval => array_map(fn (int $i) => new Point($c->x + $a * cos(2 * M_PI * $i / $this->chords()), $c->y + $b * sin(2 * M_PI * $i / $this->chords())), range(0, $this->chords() - 1)),
        };
    }

    /** As a hand finds it on a sheet: its middle by two edges, its sides by their distances from those. */
    public function ring(Bench $bench): Ring
    {
        $spot = fn (Point $p): Spot => $bench->at($bench->in('left', $p->x), $bench->in('bottom', $p->y));
        if ($this->kind === OpeningKind::Circle) {
            [$c, $r] = [$this->middle, $this->width / 2];
            $middle = $spot($c);
            $quarter = fn (float $x, float $y): Arc => new Arc($middle, $r, $spot($c->plus(new Point($x * $r, $y * $r))), false, intdiv($this->chords(), 4));

            return Ring::of($spot($c->plus(new Point($r, 0))), $quarter(0, 1), $quarter(-1, 0), $quarter(0, -1), $quarter(1, 0));
        }
        if ($this->kind === OpeningKind::Rectangle && $this->radius > 0.0) {
            return $this->roundedRing($bench);
        }

        return Ring::of(...array_map($spot, $this->points()));
    }

    private function roundedRing(Bench $bench): Ring
    {
        [$c, $a, $b, $r] = [$this->middle, $this->width / 2, $this->height / 2, $this->radius];
        $x = fn (float $at): Line => $bench->in('left', $c->x + $at);
        $y = fn (float $at): Line => $bench->in('bottom', $c->y + $at);
        $parts = [];
        $last = null;
        foreach ([[1, -1], [1, 1], [-1, 1], [-1, -1]] as [$right, $up]) {
            $centre = $bench->at($x($right * ($a - $r)), $y($up * ($b - $r)));
            $onSide = $bench->at($x($right * $a), $y($up * ($b - $r)));
            $onEnd = $bench->at($x($right * ($a - $r)), $y($up * $b));
            [$from, $to] = $right === $up ? [$onSide, $onEnd] : [$onEnd, $onSide];
            // A side that its two corners take whole is none.
            $last?->is->isAt($from->is) === true || $parts[] = $from;
            $parts[] = new Arc($centre, $r, $to, false, $this->cornerChords());
            $last = $to;
        }

        return Ring::of(...$parts);
    }

    /** @return list<Point> */
    private function corners(): array
    {
        [$c, $a, $b, $r] = [$this->middle, $this->width / 2, $this->height / 2, $this->radius];
        $points = [];
        foreach ([[-1, -1, 180.0], [1, -1, 270.0], [1, 1, 0.0], [-1, 1, 90.0]] as [$right, $up, $from]) {
            if ($r <= 0.0) {
                $points[] = $c->plus(new Point($right * $a, $up * $b));

                continue;
            }
            for ($i = 0; $i <= $this->cornerChords(); $i++) {
                $angle = deg2rad($from + 90 * $i / $this->cornerChords());
                $points[] = $c->plus(new Point($right * ($a - $r) + $r * cos($angle), $up * ($b - $r) + $r * sin($angle)));
            }
        }

        // A side that its two corners take whole is none.
        return array_values(array_filter($points, fn (Point $p, int $i) => ! $p->isAt($points[($i + 1) % count($points)]), ARRAY_FILTER_USE_BOTH));
    }

    private function chords(): int
    {
        return 4 * self::quarterChords(max($this->width, $this->height) / 2);
    }

    private function cornerChords(): int
    {
        return self::quarterChords($this->radius);
    }

    private static function quarterChords(float $radius): int
    {
        return max(4, (int) ceil(M_PI / 4 / acos(max(0.0, 1 - self::SAGITTA_MM / max($radius, self::SAGITTA_MM)))));
    }

    /**
     * @param list<Point> $ring
     * @return non-empty-list<Point>
     */
    private static function outset(array $ring, float $distance): array
    {
        return Inset::out(Polygon::of($ring), $distance)->points;
    }
}
