<?php

declare(strict_types=1);

namespace Gimbo\Core\Library;

/** What a maker keeps at hand and names, to be used in any design. */
enum Kind: string
{
    case Sizes = 'sizes';
    case Tools = 'tools';
    case Papers = 'papers';
    case Cutters = 'cutters';
    case Envelopes = 'envelopes';
}
