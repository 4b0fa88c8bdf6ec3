<?php

declare(strict_types=1);

namespace App\Words;

/** A length in a sentence, set as figures are. */
final readonly class Figure
{
    public function __construct(public string $text)
    {
    }
}
