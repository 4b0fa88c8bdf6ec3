<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Added\PunchedWork;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\WorkStep;

/** What sizing answers: the figures, and behind them, worked out when first asked for, every piece's pattern, joins and steps. */
final class Design
{
    public readonly SizingRequest $request;

    /** @var non-empty-list<Piece> */
    public readonly array $pieces;

    /** Free room for a block, the paper's thickness taken off. */
    public readonly Extents $inside;

    /** Outside with the contents in, the paper's thickness put on. */
    public readonly Extents $closed;

    /** @var list<Fit> */
    public readonly array $fits;

    /** How many items stand in its depth, where it has one that is made for a stack. */
    public readonly ?int $takes;

    /** @var list<WorkStep>|null */
    private ?array $steps = null;

    /** @var list<Join>|null */
    private ?array $joins = null;

    /** @var array<int, Glued> by the join's op, which the steps keep */
    private array $glued = [];

    public function __construct(private readonly Make $make, public readonly Figures $figures)
    {
        [$this->request, $this->inside, $this->closed] = [$figures->request, $figures->inside, $figures->closed];
        [$this->fits, $this->takes] = [$figures->fits, $figures->takes];
        $this->pieces = array_map(fn (PieceFigures $piece) => new Piece($piece, $figures, $make, $this->joins(...)), $figures->pieces);
    }

    /** The piece with that id; null where there is none. */
    public function piece(string $id): ?Piece
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id === $id) {
                return $piece;
            }
        }

        return null;
    }

    /** @return list<WorkStep> in the order of the work */
    public function steps(): array
    {
        return $this->steps ??= array_map(fn (WorkStep $step) => PunchedWork::with($step, $this->figures), $this->make->steps($this->figures));
    }

    /** What of two joined faces lies on one another. */
    public function glued(JoinOp $op): Glued
    {
        return $this->glued[spl_object_id($op)] ??= Glued::of($op, fn (string $id): Piece => $this->piece($id) ?? throw new \LogicException("There is no $id."));
    }

    /** @return list<Join> everything that is glued to something */
    public function joins(): array
    {
        return $this->joins ??= $this->make->joins($this->figures);
    }

    /**
     * Pieces that nothing is glued to: what goes over, or stands in, what is made of the others.
     *
     * @return array<string, string> why, by piece
     */
    public function loose(): array
    {
        return $this->make->loose($this->figures);
    }

    /** @return list<Hint> */
    public function hints(): array
    {
        $made = array_filter($this->pieces, fn (Piece $piece) => ! $piece->isAdded());
        $weights = array_unique(array_map(fn (Piece $piece) => $piece->paper()->grammage, $made));

        return array_values(array_filter(array_map(fn (?int $weight) => Hint::ofWeight($this->make->stock(), $weight), $weights)));
    }

    /** @return list<array{WorkStep, string}> what is cut by hand, because no punch or die that is there gives its size, and what is said of it */
    public function byHand(): array
    {
        if (! $this->request->tools->punches->cutsAnything()) {
            return [];
        }
        $byHand = [];
        foreach ($this->steps() as $step) {
            $why = array_values(array_intersect($step->advice, PunchedWork::BY_HAND))[0] ?? null;
            $why === null || $byHand[] = [$step, $why];
        }

        return $byHand;
    }

    /** How many of something there are in all, of which each one that is wanted takes so many. */
    public function inAll(int $each): int
    {
        return $each * $this->request->wanted;
    }

    /** @return list<Supply> what goes with it and is not paper */
    public function supplies(): array
    {
        return $this->figures->outfit->supplies;
    }
}
