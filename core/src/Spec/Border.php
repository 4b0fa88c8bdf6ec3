<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;

/** What shows of a panel around what lies on it: so much on the left and on the right, and so much below and above. */
final readonly class Border
{
    public function __construct(public Length $width, public Length $height)
    {
    }

    public static function alike(Length $border): self
    {
        return new self($border, $border);
    }

    public function isAlike(): bool
    {
        return $this->width->equals($this->height);
    }
}
