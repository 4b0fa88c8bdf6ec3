<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Settings;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Spec\SizingRequest;
use LogicException;

/** What settings come to: every piece's sheet and measures, the room inside, the size closed, the fits. No pattern is made for it. */
final readonly class Figures
{
    /**
     * @param non-empty-list<PieceFigures> $pieces
     * @param Extents $inside free room for a block, the paper's thickness taken off
     * @param Extents $closed outside with the contents in, the paper's thickness put on
     * @param list<Fit> $fits
     * @param ?int $takes how many items stand in its depth, where it has one that is made for a stack: in all, where there are several
     * @param list<Capacity> $capacities where there are pockets: how many stand in each
     * @param Outfit $outfit what goes with it
     */
    public function __construct(
        public SizingRequest $request,
        public Settings $settings,
        public array $pieces,
        public Extents $inside,
        public Extents $closed,
        public array $fits,
        public ?int $takes = null,
        public array $capacities = [],
        public Outfit $outfit = new Outfit,
    ) {
    }

    /** The piece with that id; null where there is none. */
    public function find(string $id): ?PieceFigures
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id === $id) {
                return $piece;
            }
        }

        return null;
    }

    public function piece(string $id): PieceFigures
    {
        return $this->find($id) ?? throw new LogicException("There is no $id.");
    }

    /** The columns and rows of a piece that is made of them. */
    public function grid(string $id): GridSheet
    {
        $layout = $this->piece($id)->layout;

        return $layout instanceof GridSheet ? $layout : throw new LogicException("$id has no columns and rows.");
    }

    /** The layout of a piece that is a square on its corner. */
    public function square(string $id): TurnedLayout
    {
        $layout = $this->piece($id)->layout;

        return $layout instanceof TurnedLayout ? $layout : throw new LogicException("$id is no square on its corner.");
    }

    /** The make's own pieces alone. */
    public function made(): self
    {
        $pieces = array_values(array_filter($this->pieces, fn (PieceFigures $piece) => $this->outfit->piece($piece->id) === null));

        return new self($this->request, $this->settings, $pieces ?: $this->pieces, $this->inside, $this->closed, $this->fits, $this->takes, $this->capacities, $this->outfit);
    }

    /** @param list<Fit> $fits */
    public function withFits(array $fits): self
    {
        return new self($this->request, $this->settings, $this->pieces, $this->inside, $this->closed, $fits, $this->takes, $this->capacities, $this->outfit);
    }

    /**
     * The same with what goes with it.
     *
     * @param non-empty-list<PieceFigures> $pieces
     * @param list<Fit> $fits
     */
    public function dressed(array $pieces, Extents $closed, array $fits, Outfit $outfit): self
    {
        return new self($this->request, $this->settings, $pieces, $this->inside, $closed, $fits, $this->takes, $this->capacities, $outfit);
    }

    /** @return list<Fit> those that do not hold */
    public function failing(): array
    {
        return array_values(array_filter($this->fits, fn (Fit $fit) => ! $fit->isOk()));
    }
}
