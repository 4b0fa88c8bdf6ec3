<?php

declare(strict_types=1);

namespace Gimbo\Core\Document;

/** What a document may hold at most, whoever reads or makes it. */
final class Limit
{
    /** Corners of an outline that is held. */
    public const OUTLINE_POINTS = 400;
}
