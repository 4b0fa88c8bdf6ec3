<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Waste;
use LogicException;

/**
 * One sheet while it is worked: its edges, and the lines made on it so far, by which later points are found.
 *
 * Frame: see Line. A line is given by its id, an edge by its name.
 */
final class Bench
{
    /** What a line is called that lies on one that was made before. */
    public const AGAIN = '-again';

    private const EDGES = ['left', 'right', 'bottom', 'top'];

    /** @var array<string, Line> by id */
    private array $lines = [];

    /** @var array<string, Line> edges and lines as they are found again, by name */
    private array $named = [];

    public function __construct(public readonly string $piece, public readonly float $width, public readonly float $height)
    {
    }

    /** So far inside an edge. */
    public function in(string $edge, float $at): Line
    {
        return Line::fromEdge($edge, $at, $this->width, $this->height);
    }

    /** An earlier line, or its parallel so far towards an edge. */
    public function beside(string $id, float $off, string $towards): Line
    {
        return $this->known($id)->again($id, $off, $towards);
    }

    public function corner(string $corner, float $at, float $off): Line
    {
        return Line::acrossCorner($corner, $at, $off, $this->width, $this->height);
    }

    public function rail(Spot $on, string $corner, float $at, string $meets): Line
    {
        return Line::alongRail($on, $corner, $at, $meets, $this->width, $this->height);
    }

    /** Where two lines cross; an edge's name is the edge itself, anything else the line with that id. */
    public function at(Line|string $one, Line|string $two): Spot
    {
        return Spot::crossing($this->line($one), $this->line($two));
    }

    /** A line from one point to another; from then on it is known by its id. */
    public function draw(LineKind $kind, string $id, Line $on, Spot $from, Spot $to, ?int $measure = null): LineOp
    {
        $this->lines[$id] = $on;

        return new LineOp($id, $kind, $on, $from, $to, $measure);
    }

    /** A line right across the sheet, from edge to edge. */
    public function across(LineKind $kind, string $id, Line $on, string $from, string $to, ?int $measure = null): LineOp
    {
        $this->lines[$id] = $on;

        return new LineOp($id, $kind, $on, $this->at($id, $from), $this->at($id, $to), $measure);
    }

    public function away(Waste $what, Spot|Arc ...$ring): AwayOp
    {
        return new AwayOp($what, Ring::of(...$ring));
    }

    /** A quarter round or less, from where a ring has come to. */
    public function arc(Spot $from, Spot $centre, Spot $to, int $chords): Arc
    {
        $start = $from->is->minus($centre->is);

        return new Arc($centre, $start->length(), $to, $start->cross($to->is->minus($centre->is)) < 0, $chords);
    }

    /** A face that turns on one line against another face. */
    public function fold(string $moves, string $onto, float $degrees, string $line, Spot $from, Spot $to): FoldOp
    {
        $this->known($line);

        return new FoldOp($degrees, [[$line, $from, $to]], $moves, $onto);
    }

    /** A face, by a point in it that lies so far from two edges. */
    public function name(string $face, FaceRole $role, float $x, float $y): NameOp
    {
        return new NameOp($face, $role, $this->at($this->in('left', $x), $this->in('bottom', $y)));
    }

    public function knows(string $id): bool
    {
        return isset($this->lines[$id]);
    }

    public function line(Line|string $line): Line
    {
        return $line instanceof Line ? $line : $this->named[$line] ??= in_array($line, self::EDGES, true) ? $this->in($line, 0.0) : $this->known($line)->again($line);
    }

    private function known(string $id): Line
    {
        return $this->lines[$id] ?? throw new LogicException("There is no line $id on $this->piece yet.");
    }
}
