<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** A panel, flap or tab: its vertices anticlockwise, and the face it is glued to. */
final readonly class Face
{
    /**
     * @param list<int> $vertices indexes, anticlockwise seen from above
     * @param ?int $gluedTo index of the face it is glued to
     */
    public function __construct(public array $vertices, public ?string $name = null, public ?int $gluedTo = null)
    {
    }
}
