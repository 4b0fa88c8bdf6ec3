<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Geometry\Point;

/** A change of coordinates in the plane, as SVG writes it (SVG 1.1, 7.6): x' = ax + cy + e, y' = bx + dy + f. */
final readonly class Transform
{
    private const ONE = '/\b(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^()]*)\)/';

    private function __construct(private float $a, private float $b, private float $c, private float $d, private float $e, private float $f)
    {
    }

    public static function none(): self
    {
        return new self(1, 0, 0, 1, 0, 0);
    }

    /** Everything larger by a factor, y turned from down to up. */
    public static function upright(float $scale): self
    {
        return self::stretched($scale, -$scale);
    }

    public static function scaled(float $factor): self
    {
        return self::stretched($factor, $factor);
    }

    public static function stretched(float $x, float $y): self
    {
        return new self($x, 0, 0, $y, 0, 0);
    }

    /** Left and right exchanged. */
    public static function mirrored(): self
    {
        return self::stretched(-1, 1);
    }

    public static function moved(Point $by): self
    {
        return new self(1, 0, 0, 1, $by->x, $by->y);
    }

    /** @param float $angle radians from x towards y */
    public static function turned(float $angle): self
    {
        return self::rotated($angle, 0, 0);
    }

    /** What a `transform` attribute says; what it does not understand is left out. */
    public static function written(string $text): self
    {
        preg_match_all(self::ONE, $text, $matches, PREG_SET_ORDER);
        $all = self::none();
        foreach ($matches as [, $name, $arguments]) {
            $n = array_map(floatval(...), preg_split('/[\s,]+/', trim($arguments), -1, PREG_SPLIT_NO_EMPTY) ?: []);
            $all = $all->after(match ($name) {
                'matrix' => new self($n[0] ?? 1, $n[1] ?? 0, $n[2] ?? 0, $n[3] ?? 1, $n[4] ?? 0, $n[5] ?? 0),
                'translate' => self::moved(new Point($n[0] ?? 0, $n[1] ?? 0)),
                'scale' => self::stretched($n[0] ?? 1, $n[1] ?? $n[0] ?? 1),
                'rotate' => self::rotated(deg2rad($n[0] ?? 0), $n[1] ?? 0, $n[2] ?? 0),
                'skewX' => new self(1, 0, tan(deg2rad($n[0] ?? 0)), 1, 0, 0),
                default => new self(1, tan(deg2rad($n[0] ?? 0)), 0, 1, 0, 0),
            });
        }

        return $all;
    }

    private static function rotated(float $angle, float $x, float $y): self
    {
        [$cos, $sin] = [cos($angle), sin($angle)];

        return new self($cos, $sin, -$sin, $cos, $x - $x * $cos + $y * $sin, $y - $x * $sin - $y * $cos);
    }

    /** This one done after the inner one. */
    public function after(self $inner): self
    {
        return new self(
            $this->a * $inner->a + $this->c * $inner->b, $this->b * $inner->a + $this->d * $inner->b,
            $this->a * $inner->c + $this->c * $inner->d, $this->b * $inner->c + $this->d * $inner->d,
            $this->a * $inner->e + $this->c * $inner->f + $this->e, $this->b * $inner->e + $this->d * $inner->f + $this->f,
        );
    }

    public function of(Point $p): Point
    {
        return new Point($this->a * $p->x + $this->c * $p->y + $this->e, $this->b * $p->x + $this->d * $p->y + $this->f);
    }

    /** How much larger a length can become. */
    public function factor(): float
    {
        return max(1e-9, hypot($this->a, $this->b), hypot($this->c, $this->d));
    }
}
