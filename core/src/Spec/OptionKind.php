<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** What may stand in an option. */
enum OptionKind: string
{
    case Choice = 'choice';
    case Length = 'length';
    case Count = 'count';
}
