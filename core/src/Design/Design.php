<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Steps\WorkStep;

/** What sizing answers: every piece with its measures, the room inside, the size closed, the fits and the steps. */
final readonly class Design
{
    /**
     * @param non-empty-list<Piece> $pieces
     * @param Extents $inside free room for a block, the paper's thickness taken off
     * @param Extents $closed outside with the contents in, the paper's thickness put on
     * @param list<Fit> $fits
     * @param list<WorkStep> $steps
     * @param ?int $takes how many items stand in its depth, where it has one that is made for a stack
     */
    public function __construct(
        public SizingRequest $request,
        public array $pieces,
        public Extents $inside,
        public Extents $closed,
        public array $fits,
        public array $steps,
        public ?int $takes = null,
    ) {
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

    /** @param list<Fit> $fits */
    public function withFits(array $fits): self
    {
        return new self($this->request, $this->pieces, $this->inside, $this->closed, $fits, $this->steps, $this->takes);
    }
}
