<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Spot;

/** A score, a cut that is a slit until something comes off beside it, or a pencil line. */
final readonly class LineOp implements Op
{
    /**
     * @param string $id its own on the piece
     * @param ?int $measure its reading among the piece's measures, where it has one
     */
    public function __construct(public string $id, public LineKind $kind, public Line $on, public Spot $from, public Spot $to, public ?int $measure = null)
    {
    }
}
