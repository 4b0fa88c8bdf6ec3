<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/** The data of an SVG path (SVG 1.1, 8.3), every command of it, as strokes in its own coordinates. */
final class SvgPath
{
    private const TAKES = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7, 'Z' => 0];

    private const NUMBER = '[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d{1,3})?';

    private Point $at;

    private Point $begin;

    /** Where the last curve's own point lies, for one that goes on smoothly. */
    private ?Point $control = null;

    private string $before = '';

    /** @var list<Point> */
    private array $points = [];

    /** @var list<Stroke> */
    private array $strokes = [];

    /** Points of all its strokes. */
    private int $drawn = 0;

    private function __construct(private readonly float $tolerance)
    {
        $this->at = $this->begin = new Point(0, 0);
    }

    /**
     * @return list<Stroke>
     *
     * @throws InvalidDocument where it is no path data
     */
    public static function strokes(string $data, float $tolerance): array
    {
        $path = new self($tolerance);
        $at = 0;
        while (preg_match('/\G[\s,]*([MmLlHhVvCcSsQqTtAaZz])/', $data, $match, 0, $at) === 1) {
            $at += strlen($match[0]);
            $command = $match[1];
            $takes = self::TAKES[strtoupper($command)];
            do {
                $numbers = self::numbers($data, $at, $command, $takes);
                $path->draw($command, $numbers);
                // More points after a move are lines.
                $command = match ($command) {
                    'M' => 'L', 'm' => 'l', default => $command
                };
            } while ($takes > 0 && preg_match('/\G[\s,]*[\d.+-]/', $data, $match, 0, $at) === 1);
        }
        trim(substr($data, $at), " ,\t\r\n") === '' || throw InvalidDocument::at('/file', Reason::of('outline.path', ['text' => Reason::quote(substr($data, $at, 30))]));
        $path->end(false);

        return $path->strokes;
    }

    /** @return list<float> */
    private static function numbers(string $data, int &$at, string $command, int $takes): array
    {
        $numbers = [];
        for ($i = 0; $i < $takes; $i++) {
            // The two flags of an arc need nothing between them and what follows.
            $shape = strtoupper($command) === 'A' && ($i === 3 || $i === 4) ? '[01]' : self::NUMBER;
            if (preg_match("/\\G[\\s,]*($shape)/", $data, $match, 0, $at) !== 1) {
                throw InvalidDocument::at('/file', Reason::of('outline.path', ['text' => Reason::quote(substr($data, max(0, $at - 10), 30))]));
            }
            $at += strlen($match[0]);
            $numbers[] = (float) $match[1];
        }

        return $numbers;
    }

    /** @param list<float> $n */
    private function draw(string $command, array $n): void
    {
        $kind = strtoupper($command);
        $from = $command === $kind ? new Point(0, 0) : $this->at;
        $point = fn (int $i): Point => new Point($from->x + $n[$i], $from->y + $n[$i + 1]);
        $smooth = fn (string $kinds): Point => $this->control !== null && str_contains($kinds, $this->before) ? $this->at->times(2)->minus($this->control) : $this->at;
        $control = null;
        switch ($kind) {
            case 'M':
                $this->end(false);
                $this->at = $this->begin = $point(0);
                $this->points = [$this->at];
                break;
            case 'L':
                $this->to([$point(0)]);
                break;
            case 'H':
                $this->to([new Point($from->x + $n[0], $this->at->y)]);
                break;
            case 'V':
                $this->to([new Point($this->at->x, $from->y + $n[0])]);
                break;
            case 'C':
                $control = $point(2);
                $this->to(Curve::bezier([$this->at, $point(0), $control, $point(4)], $this->tolerance));
                break;
            case 'S':
                $control = $point(0);
                $this->to(Curve::bezier([$this->at, $smooth('CS'), $control, $point(2)], $this->tolerance));
                break;
            case 'Q':
                $control = $point(0);
                $this->to(Curve::bezier([$this->at, $control, $point(2)], $this->tolerance));
                break;
            case 'T':
                $control = $smooth('QT');
                $this->to(Curve::bezier([$this->at, $control, $point(0)], $this->tolerance));
                break;
            case 'A':
                $this->arc($n, $point(5));
                break;
            default:
                $this->end(true);
                $this->at = $this->begin;
                $this->points = [$this->at];
        }
        $this->control = $control;
        $this->before = $kind;
    }

    /** @param list<Point> $points */
    private function to(array $points): void
    {
        $this->points === [] && $this->points = [$this->at];
        array_push($this->points, ...$points);
        $this->at = $points[count($points) - 1];
        OutlineFile::keepWithin($this->drawn += count($points));
    }

    /**
     * From its two ends to its centre (SVG 1.1, F.6.5 and F.6.6).
     *
     * @param list<float> $n radii, turn in degrees, the large-arc and sweep flags
     */
    private function arc(array $n, Point $end): void
    {
        [$rx, $ry, $turn] = [abs($n[0]), abs($n[1]), deg2rad($n[2])];
        $half = $this->at->minus($end)->times(0.5);
        if ($rx < 1e-12 || $ry < 1e-12 || $half->length() < 1e-12) {
            $this->to([$end]);

            return;
        }
        $x = cos($turn) * $half->x + sin($turn) * $half->y;
        $y = -sin($turn) * $half->x + cos($turn) * $half->y;
        $too = sqrt(($x / $rx) ** 2 + ($y / $ry) ** 2);
        [$rx, $ry] = $too > 1 ? [$rx * $too, $ry * $too] : [$rx, $ry];
        $root = sqrt(max(0.0, ($rx * $ry) ** 2 / (($rx * $y) ** 2 + ($ry * $x) ** 2) - 1)) * (($n[3] > 0) === ($n[4] > 0) ? -1 : 1);
        [$cx, $cy] = [$root * $rx * $y / $ry, -$root * $ry * $x / $rx];
        $middle = $this->at->plus($end)->times(0.5);
        $centre = new Point($middle->x + cos($turn) * $cx - sin($turn) * $cy, $middle->y + sin($turn) * $cx + cos($turn) * $cy);
        $first = atan2(($y - $cy) / $ry, ($x - $cx) / $rx);
        $sweep = fmod(atan2((-$y - $cy) / $ry, (-$x - $cx) / $rx) - $first, 2 * M_PI);
        if ($n[4] > 0 && $sweep < 0) {
            $sweep += 2 * M_PI;
        } elseif ($n[4] <= 0 && $sweep > 0) {
            $sweep -= 2 * M_PI;
        }
        $arc = Curve::arc($centre, $rx, $ry, $turn, $first, $sweep, $this->tolerance);
        $this->to([...array_slice($arc, 1, -1), $end]);
    }

    /** A stroke is done: closed where it says so, or where it is back at its beginning. */
    private function end(bool $isClosed): void
    {
        $points = $this->points;
        if (count($points) > 3 && $points[0]->isAt($points[count($points) - 1])) {
            array_pop($points);
            $isClosed = true;
        }
        count($points) > 1 && $this->strokes[] = new Stroke($points, $isClosed);
        $this->points = [];
    }
}
