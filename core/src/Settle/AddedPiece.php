<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Crease\Opened;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Steps\Opening;

/** A piece of paper that goes with a make, worked out. */
final class AddedPiece
{
    /** What it is: a role of an addition, or a part of a window or a closure. */
    public readonly string $role;

    private ?Pattern $opened = null;

    /**
     * @param Addition $addition what asked for it
     * @param Polygon $outline on its own sheet
     * @param list<Opening> $openings in it
     * @param list<Placing> $placings one a copy; none for what lies on no panel
     * @param Pattern $whole without its openings
     * @param ?string $mirrors a piece that is this one turned over
     * @param float $radius of its corners, which the outline has square and the pattern round, mm
     */
    public function __construct(
        public readonly AddedKind $kind,
        public readonly Addition $addition,
        public readonly Paper $paper,
        public readonly PieceFigures $figures,
        public readonly Polygon $outline,
        public readonly Pattern $whole,
        public readonly array $openings = [],
        public readonly array $placings = [],
        public readonly ?string $mirrors = null,
        public readonly float $radius = 0.0,
    ) {
        $this->role = $kind->name;
    }

    public function id(): string
    {
        return $this->figures->id;
    }

    /** The same piece, of which another is the mirror image. */
    public function mirroring(string $other): self
    {
        return new self($this->kind, $this->addition, $this->paper, $this->figures, $this->outline, $this->whole, $this->openings, $this->placings, $other, $this->radius);
    }

    /**
     * The same piece as often as it is placed.
     *
     * @param list<Placing> $placings
     */
    public function at(array $placings): self
    {
        return new self($this->kind, $this->addition, $this->paper, $this->figures->times(count($placings)), $this->outline, $this->whole, $this->openings, $placings, $this->mirrors, $this->radius);
    }

    /** @param list<Opening> $openings */
    public function opened(array $openings): self
    {
        return new self($this->kind, $this->addition, $this->paper, $this->figures, $this->outline, $this->whole, $openings, $this->placings, $this->mirrors, $this->radius);
    }

    public function pattern(): Pattern
    {
        return $this->opened ??= Opened::pattern($this->whole, $this->openings === [] ? [] : [0 => array_map(fn (Opening $opening) => $opening->polygon(), $this->openings)]);
    }
}
