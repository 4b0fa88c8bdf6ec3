<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

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
    ) {
    }
}
