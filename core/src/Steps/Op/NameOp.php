<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Steps\Spot;

/** What a face is called, by one point inside it. */
final readonly class NameOp implements Op
{
    public function __construct(public string $face, public FaceRole $role, public Spot $at)
    {
    }
}
