<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** A straight edge between two vertices of a pattern. */
final readonly class Edge
{
    /**
     * @param int $from index of a vertex
     * @param int $to index of another
     * @param float $foldDegrees in the assembled state: positive valley, negative mountain, 0 where nothing folds
     * @param ?string $name the crease it belongs to; edges of one score share the name
     */
    public function __construct(
        public int $from,
        public int $to,
        public Assignment $assignment,
        public float $foldDegrees = 0.0,
        public ?string $name = null,
    ) {
    }
}
