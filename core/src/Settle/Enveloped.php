<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** The room that is left in an envelope along its longer and its shorter side, whichever way round the thing is put in. */
final readonly class Enveloped
{
    /** Less room than this, either way, is tight; common practice, no source. */
    private const TIGHT_MM = 3;

    private function __construct(public Length $long, public Length $short)
    {
    }

    public static function of(Rectangle $envelope, Extents $closed): self
    {
        return new self(
            Length::max($envelope->width, $envelope->height)->minus(Length::max($closed->width, $closed->height)),
            Length::min($envelope->width, $envelope->height)->minus(Length::min($closed->width, $closed->height)),
        );
    }

    public function isTight(): bool
    {
        return Length::min($this->long, $this->short)->isLessThan(Length::mm(self::TIGHT_MM));
    }

    public function isTooLarge(): bool
    {
        return Length::min($this->long, $this->short)->isLessThan(Length::zero());
    }
}
