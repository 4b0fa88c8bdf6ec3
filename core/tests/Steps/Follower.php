<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Steps;

use RuntimeException;

/**
 * Somebody who follows steps literally and knows nothing else: a blank rectangle and the steps' data in, outline, slits, openings,
 * creases and names out. Written from docs/steps.md; uses nothing of the core. Points are found by the readings alone or by the
 * coordinates alone.
 *
 * @phpstan-type XY array{float, float}
 * @phpstan-type Segment array{XY, XY}
 */
final class Follower
{
    public const BY_READINGS = 'readings';

    public const BY_COORDINATES = 'coordinates';

    private const NEAR_MM = 0.005;

    /** @var XY of the sheet */
    public array $sheet = [0.0, 0.0];

    /** @var array<string, array{at: XY, way: XY, from: XY, to: XY, kind: string}> by id */
    public array $lines = [];

    /** @var list<list<XY>> what came off */
    public array $away = [];

    /** @var list<array{segment: Segment, deg: float, moves: string, onto: string}> */
    public array $folds = [];

    /** @var array<string, array{at: XY, role: string}> */
    public array $names = [];

    /** @var list<string> what does not hold */
    public array $complaints = [];

    public function __construct(private readonly string $mode)
    {
    }

    /** @param list<array<string, mixed>> $steps of one piece, in any order that keeps what is said later after what it needs */
    public static function through(array $steps, string $mode): self
    {
        $follower = new self($mode);
        foreach ($steps as $step) {
            foreach ($step['ops'] as $op) {
                $follower->does($op, $step['id']);
            }
        }

        return $follower;
    }

    /** @param array<string, mixed> $op */
    private function does(array $op, string $step): void
    {
        match ($op['op']) {
            'sheet' => $this->sheet = [(float) $op['width'], (float) $op['height']],
            'line' => $this->draws($op, $step),
            'away' => $this->away[] = $this->ring($op['ring']),
            'fold' => $this->folds($op, $step),
            'name' => $this->names[$op['face']] = ['at' => $this->point($op['at']), 'role' => $op['role']],
            'join', 'put' => null,
            default => throw new RuntimeException("Nobody knows the op $op[op]."),
        };
    }

    /** @param array<string, mixed> $op */
    private function draws(array $op, string $step): void
    {
        isset($this->lines[$op['id']]) && $this->complaints[] = "$step: a second line $op[id]";
        $on = $this->line($op['on']);
        // Its own ends may be found by it.
        $this->lines[$op['id']] = ['at' => $on[0], 'way' => $on[1], 'from' => [0.0, 0.0], 'to' => [0.0, 0.0], 'kind' => $op['kind']];
        [$from, $to] = [$this->point($op['from']), $this->point($op['to'])];
        $this->lines[$op['id']] = ['at' => $on[0], 'way' => $on[1], 'from' => $from, 'to' => $to, 'kind' => $op['kind']];
        foreach ([$from, $to] as $end) {
            self::off($on, $end) < self::NEAR_MM || $this->complaints[] = "$step: an end of $op[id] lies beside it";
        }
    }

    /** @param array<string, mixed> $op */
    private function folds(array $op, string $step): void
    {
        foreach ($op['along'] as $part) {
            $line = $this->lines[$part['line']] ?? throw new RuntimeException("$step: no line $part[line]");
            $line['kind'] === 'score' || $this->complaints[] = "$step: folded where nothing is scored";
            $segment = [$this->point($part['from']), $this->point($part['to'])];
            foreach ($segment as $end) {
                self::beyond([$line['from'], $line['to']], $end) < self::NEAR_MM || $this->complaints[] = "$step: a fold of $op[moves] leaves its score";
            }
            $this->folds[] = ['segment' => $segment, 'deg' => (float) $op['deg'], 'moves' => $op['moves'], 'onto' => $op['onto']];
        }
    }

    /**
     * @param array<string, mixed> $point
     * @return XY
     */
    public function point(array $point): array
    {
        if ($this->mode === self::BY_COORDINATES) {
            return [(float) $point['is'][0], (float) $point['is'][1]];
        }
        [[$p, $d], [$q, $e]] = array_map($this->line(...), $point['by']);
        $cross = $d[0] * $e[1] - $d[1] * $e[0];
        if (abs($cross) < 1e-9) {
            throw new RuntimeException('Two readings that never meet.');
        }
        $t = (($q[0] - $p[0]) * $e[1] - ($q[1] - $p[1]) * $e[0]) / $cross;

        return [$p[0] + $t * $d[0], $p[1] + $t * $d[1]];
    }

    /**
     * @param array<string, mixed> $line
     * @return array{XY, XY} a point and the direction
     */
    public function line(array $line): array
    {
        [$w, $h] = $this->sheet;
        if (isset($line['edge'])) {
            return match ($line['edge']) {
                'left' => [[$line['at'], 0.0], [0.0, 1.0]], 'right' => [[$w - $line['at'], 0.0], [0.0, 1.0]],
                'bottom' => [[0.0, $line['at']], [1.0, 0.0]], 'top' => [[0.0, $h - $line['at']], [1.0, 0.0]],
            };
        }
        if (isset($line['corner'])) {
            [$x, $y] = self::corner($line['corner'], $w, $h);
            // So far along the diagonal towards the other corner, and square to it.
            $in = $line['at'] - $line['off'];
            $way = [($w - 2 * $x) / hypot($w, $h), ($h - 2 * $y) / hypot($w, $h)];

            return [[$x + $in * $way[0], $y + $in * $way[1]], [-$way[1], $way[0]]];
        }
        if (isset($line['line'])) {
            $known = $this->lines[$line['line']] ?? throw new RuntimeException("No line $line[line] yet.");
            [$at, $way] = [$known['at'], $known['way']];
            if ($this->mode === self::BY_COORDINATES) {
                $way = self::unit([$known['to'][0] - $known['from'][0], $known['to'][1] - $known['from'][1]]);
                $at = $known['from'];
            }
            if (! isset($line['off'])) {
                return [$at, $way];
            }
            $out = ['left' => [-1.0, 0.0], 'right' => [1.0, 0.0], 'bottom' => [0.0, -1.0], 'top' => [0.0, 1.0]][$line['towards']];
            $square = [-$way[1], $way[0]];
            $side = $square[0] * $out[0] + $square[1] * $out[1] > 0 ? 1.0 : -1.0;

            return [[$at[0] + $side * $line['off'] * $square[0], $at[1] + $side * $line['off'] * $square[1]], $way];
        }
        if (isset($line['ends'])) {
            [$a, $b] = array_map($this->point(...), $line['ends']);

            return [$a, self::unit([$b[0] - $a[0], $b[1] - $a[1]])];
        }
        if (isset($line['through'])) {
            return [$this->point($line['through']), [cos(deg2rad($line['deg'])), sin(deg2rad($line['deg']))]];
        }

        return $this->rail($line['rail'], $w, $h);
    }

    /**
     * The tangent from the point on the rail to the circle about the corner, on the side where it comes out at the edge that is met.
     *
     * @param array<string, mixed> $rail
     * @return array{XY, XY}
     */
    private function rail(array $rail, float $w, float $h): array
    {
        $on = $this->point($rail['on']);
        $corner = self::corner($rail['corner'], $w, $h);
        $to = [$corner[0] - $on[0], $corner[1] - $on[1]];
        $far = hypot(...$to);
        $tilt = asin($rail['at'] / $far);
        foreach ([$tilt, -$tilt] as $angle) {
            $way = [($to[0] * cos($angle) - $to[1] * sin($angle)) / $far, ($to[0] * sin($angle) + $to[1] * cos($angle)) / $far];
            // Where it meets the edge's line, on the sheet's side of the corner.
            $t = match ($rail['meets']) {
                'left' => -$on[0] / $way[0], 'right' => ($w - $on[0]) / $way[0], 'bottom' => -$on[1] / $way[1], 'top' => ($h - $on[1]) / $way[1],
            };
            $out = [$on[0] + $t * $way[0], $on[1] + $t * $way[1]];
            if ($t > 0 && $out[0] > -1e-9 && $out[0] < $w + 1e-9 && $out[1] > -1e-9 && $out[1] < $h + 1e-9) {
                return [$on, $way];
            }
        }
        throw new RuntimeException('A cut along the rail that comes out nowhere.');
    }

    /**
     * @param list<array<string, mixed>> $parts
     * @return list<XY>
     */
    public function ring(array $parts): array
    {
        $ring = [];
        foreach ($parts as $part) {
            if (! isset($part['arc'])) {
                $ring[] = $this->point($part);

                continue;
            }
            ['centre' => $centre, 'to' => $to, 'way' => $way, 'chords' => $chords] = $part['arc'];
            [$c, $end, $start] = [$this->point($centre), $this->point($to), $ring[count($ring) - 1]];
            $from = atan2($start[1] - $c[1], $start[0] - $c[0]);
            $by = fmod(atan2($end[1] - $c[1], $end[0] - $c[0]) - $from + 4 * M_PI, 2 * M_PI) - ($way === 'cw' ? 2 * M_PI : 0);
            $radius = $this->mode === self::BY_READINGS ? $part['arc']['radius'] : hypot($start[0] - $c[0], $start[1] - $c[1]);
            for ($i = 1; $i < $chords; $i++) {
                $ring[] = [$c[0] + $radius * cos($from + $by * $i / $chords), $c[1] + $radius * sin($from + $by * $i / $chords)];
            }
            $ring[] = $end;
        }

        return $ring;
    }

    /** @return list<Segment> the outline of what is left, and of its openings: each side as long as it is straight */
    public function outline(): array
    {
        [$w, $h] = $this->sheet;
        $sides = [];
        foreach ([[[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]], ...$this->away] as $ring) {
            foreach ($ring as $i => $p) {
                $sides[] = [$p, $ring[($i + 1) % count($ring)]];
            }
        }

        // Where what came off had its side on the sheet's, or on that of something else that came off, there is none left.
        return Straight::oddly($sides);
    }

    /** @return list<Segment> cuts with paper on both sides */
    public function slits(): array
    {
        $cuts = [];
        foreach ($this->lines as $line) {
            $line['kind'] === 'cut' && array_push($cuts, ...$this->inPaper([$line['from'], $line['to']]));
        }

        return Straight::merged($cuts);
    }

    /** @return list<Segment> what is scored in paper that is there, and never folded */
    public function idleScores(): array
    {
        $idle = [];
        foreach ($this->lines as $line) {
            if ($line['kind'] === 'score') {
                array_push($idle, ...$this->inPaper([$line['from'], $line['to']]));
            }
        }

        return Straight::without(Straight::merged($idle), [...array_column($this->folds, 'segment'), ...$this->slits()]);
    }

    /** In square millimetres. */
    public function area(): float
    {
        return $this->sheet[0] * $this->sheet[1] - array_sum(array_map(fn (array $ring) => abs(self::signedArea($ring)), $this->away));
    }

    /** Whether a point lies on paper that is left. */
    public function isPaper(float $x, float $y): bool
    {
        if ($x < 0 || $y < 0 || $x > $this->sheet[0] || $y > $this->sheet[1]) {
            return false;
        }
        foreach ($this->away as $ring) {
            if (self::isIn($ring, [$x, $y])) {
                return false;
            }
        }

        return true;
    }

    /**
     * The parts of a segment with paper on both of its sides.
     *
     * @param Segment $segment
     * @return list<Segment>
     */
    private function inPaper(array $segment): array
    {
        [$a, $b] = $segment;
        $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
        if ($length < 1e-9) {
            return [];
        }
        $way = self::unit([$b[0] - $a[0], $b[1] - $a[1]]);
        $stops = [0.0, $length];
        foreach ($this->away as $ring) {
            foreach ($ring as $i => $p) {
                $q = $ring[($i + 1) % count($ring)];
                foreach ([$p, $q] as $point) {
                    $stops[] = ($point[0] - $a[0]) * $way[0] + ($point[1] - $a[1]) * $way[1];
                }
                $d = [$q[0] - $p[0], $q[1] - $p[1]];
                $cross = $way[0] * $d[1] - $way[1] * $d[0];
                if (abs($cross) > 1e-12) {
                    $stops[] = (($p[0] - $a[0]) * $d[1] - ($p[1] - $a[1]) * $d[0]) / $cross;
                }
            }
        }
        $stops = array_filter($stops, fn (float $t) => $t >= 0 && $t <= $length);
        sort($stops);
        $parts = [];
        foreach ($stops as $i => $from) {
            $to = $stops[$i + 1] ?? $from;
            if ($to - $from < 1e-6) {
                continue;
            }
            [$x, $y] = [$a[0] + ($from + $to) / 2 * $way[0], $a[1] + ($from + $to) / 2 * $way[1]];
            // A hair to both sides.
            $hair = min(1e-4, ($to - $from) / 4);
            if ($this->isPaper($x - $hair * $way[1], $y + $hair * $way[0]) && $this->isPaper($x + $hair * $way[1], $y - $hair * $way[0])) {
                $parts[] = [[$a[0] + $from * $way[0], $a[1] + $from * $way[1]], [$a[0] + $to * $way[0], $a[1] + $to * $way[1]]];
            }
        }

        return $parts;
    }

    /**
     * @param list<XY> $ring
     * @param XY $point
     */
    public static function isIn(array $ring, array $point): bool
    {
        $isIn = false;
        foreach ($ring as $i => $a) {
            $b = $ring[($i + 1) % count($ring)];
            if (($a[1] > $point[1]) !== ($b[1] > $point[1]) && $point[0] < ($b[0] - $a[0]) * ($point[1] - $a[1]) / ($b[1] - $a[1]) + $a[0]) {
                $isIn = ! $isIn;
            }
        }

        return $isIn;
    }

    /** @param list<XY> $ring */
    public static function signedArea(array $ring): float
    {
        $double = 0.0;
        foreach ($ring as $i => $a) {
            $b = $ring[($i + 1) % count($ring)];
            $double += $a[0] * $b[1] - $a[1] * $b[0];
        }

        return $double / 2;
    }

    /** @return XY */
    private static function corner(string $corner, float $w, float $h): array
    {
        return [str_ends_with($corner, 'right') ? $w : 0.0, str_starts_with($corner, 'top') ? $h : 0.0];
    }

    /**
     * @param XY $v
     * @return XY
     */
    private static function unit(array $v): array
    {
        $length = hypot($v[0], $v[1]);

        return $length < 1e-12 ? throw new RuntimeException('A line without a direction.') : [$v[0] / $length, $v[1] / $length];
    }

    /**
     * @param array{XY, XY} $line
     * @param XY $point
     */
    private static function off(array $line, array $point): float
    {
        return abs(($point[0] - $line[0][0]) * $line[1][1] - ($point[1] - $line[0][1]) * $line[1][0]);
    }

    /**
     * How far a point lies from a segment.
     *
     * @param Segment $segment
     * @param XY $point
     */
    private static function beyond(array $segment, array $point): float
    {
        [$a, $b] = $segment;
        $d = [$b[0] - $a[0], $b[1] - $a[1]];
        $t = max(0.0, min(1.0, (($point[0] - $a[0]) * $d[0] + ($point[1] - $a[1]) * $d[1]) / max($d[0] ** 2 + $d[1] ** 2, 1e-18)));

        return hypot($point[0] - $a[0] - $t * $d[0], $point[1] - $a[1] - $t * $d[1]);
    }
}
