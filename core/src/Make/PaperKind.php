<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

/**
 * What kind of paper something is made of: between which weights it folds and holds well, g/m². Text papers and light cover of up to 65 lb
 * (175.8 g/m²) for envelopes, heavier card for boxes; common practice, no source. The pound weights: docs/formulas.md, "Paper".
 */
enum PaperKind
{
    case Envelope;
    case Box;
    /** Anything that scores. */
    case Card;

    public function least(): ?int
    {
        return match ($this) {
            self::Envelope => 45,
            self::Box => 176,
            self::Card => null,
        };
    }

    public function most(): ?int
    {
        return $this === self::Envelope ? 176 : null;
    }
}
