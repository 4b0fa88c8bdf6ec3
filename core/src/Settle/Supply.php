<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Spec\Addition;

/** What goes with a make and is not cut from paper: ribbon, string, dots. */
final readonly class Supply
{
    /**
     * @param string $role ribbon, string or dot
     * @param ?Length $length to cut off, of what comes by length
     * @param ?Length $size across it: a ribbon's width, a dot
     */
    public function __construct(public string $id, public string $role, public Addition $addition, public int $count, public ?Length $length, public ?Length $size)
    {
    }
}
