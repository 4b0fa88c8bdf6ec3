<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

use Gimbo\Core\Measure\Length;

/** A rectangular sheet or card. */
final readonly class Rectangle
{
    public function __construct(public Length $width, public Length $height)
    {
    }

    public static function square(Length $side): self
    {
        return new self($side, $side);
    }

    /** Whether it can be cut from the sheet, lying one way or the other. */
    public function comesOutOf(self $sheet): bool
    {
        return $this->fitsInside($sheet) || $this->turned()->fitsInside($sheet);
    }

    public function turned(): self
    {
        return new self($this->height, $this->width);
    }

    public function isPortrait(): bool
    {
        return $this->width->isLessThan($this->height);
    }

    public function isSameAs(self $other): bool
    {
        return $this->width->equals($other->width) && $this->height->equals($other->height);
    }

    private function fitsInside(self $sheet): bool
    {
        return ! $this->width->isMoreThan($sheet->width) && ! $this->height->isMoreThan($sheet->height);
    }
}
