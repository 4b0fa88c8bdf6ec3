<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Spec\AddedOffer;

/**
 * Something that can go with a make. One folder each, registered in Roles. Usual sizes are common practice, no source.
 */
interface Role extends AddedOffer
{
}
