<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** One size to which a piece of each of several designs can be brought. */
final readonly class Meeting
{
    /**
     * @param Rectangle $size the longer side first
     * @param list<array{design: string, piece: string, edits: array<string, string>, by: array<string, Length>}> $changes of each design: what is
     *        typed at which fields, and by how much the room changes in which direction (`width`, `height`, `depth`); nothing where it stays as it is
     */
    public function __construct(public Rectangle $size, public array $changes)
    {
    }
}
