<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** A panel, flap or tab: its vertices anticlockwise, what it is for, its mirror image, and the face it is glued to. */
final readonly class Face
{
    /**
     * @param list<int> $vertices indexes, anticlockwise seen from above
     * @param ?int $gluedTo index of the face it is glued to
     * @param FaceRole $role a panel, where a document read from elsewhere does not say
     * @param ?int $twin index of the face that is its mirror image
     */
    public function __construct(
        public array $vertices,
        public ?string $name = null,
        public ?int $gluedTo = null,
        public FaceRole $role = FaceRole::Panel,
        public ?int $twin = null,
    ) {
    }
}
