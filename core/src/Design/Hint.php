<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Make\PaperKind;

/** Something worth knowing that makes nothing impossible: the paper is heavier or lighter than what such a thing is usually made of. */
final readonly class Hint
{
    public const WEIGHT = 'paper-weight';

    /**
     * @param int $need the end of the usual range it is beyond, g/m²
     * @param int $have g/m²
     */
    private function __construct(public string $state, public int $need, public int $have)
    {
    }

    /** Null where the weight is not known, or as usual. */
    public static function ofWeight(PaperKind $stock, ?int $grammage): ?self
    {
        return match (true) {
            $grammage === null => null,
            $stock->most() !== null && $grammage > $stock->most() => new self('heavy', $stock->most(), $grammage),
            $stock->least() !== null && $grammage < $stock->least() => new self('light', $stock->least(), $grammage),
            default => null,
        };
    }
}
