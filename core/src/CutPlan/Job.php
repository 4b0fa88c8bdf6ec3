<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** What is to be cut, from what, with what. Knows nothing of what the pieces are for. */
final readonly class Job
{
    /** More pieces than these are not planned at once. */
    public const MOST_PIECES = 5000;

    /**
     * @param list<Wanted> $pieces
     * @param list<Stock> $stock
     * @param list<Run> $runs prints that run on from piece to piece
     * @param Length $margin rough edge all round every sheet, of which nothing is used
     * @param Rectangle $keep the least that is worth keeping, either way round
     */
    public function __construct(public array $pieces, public array $stock, public Trimmer $trimmer, public Length $margin, public Rectangle $keep, public array $runs = [])
    {
    }

    public function wanted(string $id): ?Wanted
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id === $id) {
                return $piece;
            }
        }

        return null;
    }
}
