<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Tool\ToolKind;

/** One thing the maker does, as data: what, to which piece, how it lies, with what. */
final readonly class WorkStep
{
    /**
     * @param string $piece id of a piece
     * @param list<int> $measures indexes into the piece's measures
     * @param int $quarterTurns how far the sheet is turned clockwise since the step before
     * @param list<string> $faces the faces it is about, in order
     * @param ?string $onto the face they are folded over or glued to
     * @param list<string> $advice codes of advice that belongs here
     * @param list<Join> $joins what is glued to what
     */
    public function __construct(
        public Deed $do,
        public string $piece,
        public ?ToolKind $with = null,
        public array $measures = [],
        public int $quarterTurns = 0,
        public array $faces = [],
        public ?string $onto = null,
        public array $advice = [],
        public array $joins = [],
    ) {
    }

    /**
     * Glue on each of the faces of the joins that get it, and its partner onto it.
     *
     * @param list<Join> $joins
     * @param list<string> $advice
     * @return list<self> one step, or none where nothing is glued
     */
    public static function glue(string $piece, array $joins, array $advice = []): array
    {
        if ($joins === []) {
            return [];
        }
        $faces = array_values(array_unique(array_map(fn (Join $join) => $join->glued->face, $joins)));

        return [new self(Deed::Glue, $piece, faces: $faces, onto: $joins[0]->partner()->face, advice: $advice, joins: $joins)];
    }
}
