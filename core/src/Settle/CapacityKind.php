<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

/** What is counted that stands in a pocket. */
enum CapacityKind: string
{
    /** As thick as the maker said. */
    case AsAsked = 'as-asked';
    /** A card in an envelope with a liner. */
    case Lined = 'lined';
    /** A card in an envelope without one. */
    case Unlined = 'unlined';
    /** The card alone, where its layers are known. */
    case Bare = 'bare';
}
