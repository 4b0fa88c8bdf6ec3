<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

use Gimbo\Core\Measure\Length;

/**
 * One part of what a figure is made of.
 *
 * `amount` is what it adds to the figure (negative where it takes away); `whole` is the length it comes from where
 * only a share of that is added, as across the corner of a turned square.
 */
final readonly class Term
{
    public function __construct(
        public TermKind $kind,
        public Length $amount,
        public ?Dimension $dimension = null,
        public ?Length $whole = null,
    ) {
    }
}
