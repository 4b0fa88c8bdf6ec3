<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Paper;

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

    /** As a spec says it at /holds/layers; what is not said is ordinary card, or is not there. */
    public static function of(Reading $in): self
    {
        $caliper = fn (string $name, ?Length $else = null): Length => $in->lengthOr("/holds/layers/$name", $else ?? Length::zero());

        return new self(
            $caliper('card', Paper::usualCaliper()), $in->count('/holds/layers/mats', 0) ?? 0, $caliper('mat', Paper::usualCaliper()),
            $caliper('decoration'), $caliper('envelope'), $caliper('liner'),
        );
    }

    public function thickness(): Length
    {
        return $this->bare()->plus($this->envelope->times(self::ENVELOPE_LAYERS), $this->liner);
    }

    /** Without its envelope. */
    public function bare(): Length
    {
        return $this->card->times(2)->plus($this->mat->times($this->mats), $this->decoration);
    }
}
