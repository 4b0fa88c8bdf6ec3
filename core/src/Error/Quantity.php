<?php

declare(strict_types=1);

namespace Gimbo\Core\Error;

/** Marks what a reason carries and only who shows it can write out, such as a length. */
interface Quantity
{
}
