<?php

declare(strict_types=1);

namespace Gimbo\Core\Paper;

use Gimbo\Core\Measure\Length;

/** How thick one card is, from what it is made of, where nobody has measured it. Common practice, no source. */
final readonly class CardLayers
{
    /** An envelope's two walls, and two flaps more where they overlap. */
    private const ENVELOPE_LAYERS = 4;

    /**
     * @param Length $card caliper of the folded base
     * @param int $mats how many mats lie on it, each of caliper $mat
     * @param Length $decoration how far what is raised stands off
     * @param Length $envelope caliper of the envelope it lies in; zero for none
     * @param Length $liner caliper of that envelope's liner; zero for none
     */
    public function __construct(
        public Length $card,
        public int $mats,
        public Length $mat,
        public Length $decoration,
        public Length $envelope,
        public Length $liner,
    ) {
    }

    public function thickness(): Length
    {
        return $this->card->times(2)->plus(
            $this->mat->times($this->mats), $this->decoration, $this->envelope->times(self::ENVELOPE_LAYERS), $this->liner,
        );
    }
}
