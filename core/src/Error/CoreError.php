<?php

declare(strict_types=1);

namespace Gimbo\Core\Error;

use Throwable;

/** Marks every exception that stands for bad input; misuse of the code itself is a \LogicException instead. */
interface CoreError extends Throwable
{
}
