<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/** A rectangle that is wanted so often out of one paper. */
final readonly class Wanted
{
    /**
     * @param bool $mayTurn whether its width may come to lie along a sheet's height: not where a print has a top or a grain runs
     * @param list<'width'|'height'> $rows along which equal ones in a row share scores: they are cut off together, and parted later
     * @param ?list<string> $stock ids of the only stock it may come out of; null for any of its paper
     */
    public function __construct(public string $id, public Length $width, public Length $height, public int $count, public string $paper, public bool $mayTurn = true, public ?array $stock = null, public array $rows = [])
    {
    }

    /** So many of it. */
    public function times(int $count): self
    {
        return new self($this->id, $this->width, $this->height, $count, $this->paper, $this->mayTurn, $this->stock, $this->rows);
    }
}
