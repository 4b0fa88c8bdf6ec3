<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Measure\Length;

/** What a maker does with the tips of the bottom and the top flap beyond what has to come off. */
final readonly class TipChoice
{
    /**
     * @param Length $bottomShorter by so much the bottom flap is shorter than it could be
     * @param Length $by how far from its point the top flap is cut or turned in
     */
    public function __construct(public Length $bottomShorter, public TopTip $top, public Length $by)
    {
    }

    public static function none(): self
    {
        return new self(Length::zero(), TopTip::Kept, Length::zero());
    }
}
