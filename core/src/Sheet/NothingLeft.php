<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use DomainException;
use Gimbo\Core\Error\CoreError;

/** A setting was moved so far that a panel or a seam has nothing left. */
final class NothingLeft extends DomainException implements CoreError
{
    public static function of(string $what): self
    {
        return new self("Nothing is left of the $what.");
    }
}
