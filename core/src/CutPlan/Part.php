<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/**
 * A part of a sheet as it really lies under the blade: parted by one cut edge to edge, or a piece, or an offcut worth keeping, or waste.
 *
 * Frame: its own lower left corner; width to the right, height up. After a cut the kerf is lost, so the second part begins that much later.
 */
final readonly class Part
{
    /**
     * @param ?int $number of its cut in the order of the hand within the sheet, from 1; null for what is not cut
     * @param bool $isUpright whether the cut is the line at x = $at, else that at y = $at
     * @param ?self $first to the left of the cut, or below it
     * @param ?self $second to the right of it, or above
     * @param ?string $piece id of the piece it is
     * @param bool $isOffcut whether it is worth keeping
     */
    private function __construct(
        public Length $width, public Length $height, public ?int $number = null, public bool $isUpright = true, public ?Length $at = null,
        public ?self $first = null, public ?self $second = null, public ?string $piece = null, public bool $isTurned = false, public bool $isOffcut = false,
    ) {
    }

    public static function cut(Length $width, Length $height, int $number, bool $isUpright, Length $at, self $first, self $second): self
    {
        return new self($width, $height, $number, $isUpright, $at, $first, $second);
    }

    public static function piece(Length $width, Length $height, string $piece, bool $isTurned): self
    {
        return new self($width, $height, piece: $piece, isTurned: $isTurned);
    }

    public static function left(Length $width, Length $height, bool $isOffcut): self
    {
        return new self($width, $height, isOffcut: $isOffcut);
    }

    /** Of a roll that is cut into sections from its lower end on, what stays on it; null where nothing does. */
    public function rest(): ?self
    {
        for ($rest = $this; $rest->second !== null && ! $rest->isUpright; $rest = $rest->second);

        return $rest->first === null && $rest->piece === null ? $rest : null;
    }

    /** @return list<self> what there is in the end */
    public function leaves(): array
    {
        return $this->first === null || $this->second === null ? [$this] : [...$this->first->leaves(), ...$this->second->leaves()];
    }

    /** @return list<self> the parts that are cut, in the order of the hand */
    public function cuts(): array
    {
        if ($this->first === null || $this->second === null) {
            return [];
        }
        $cuts = [$this, ...$this->first->cuts(), ...$this->second->cuts()];
        usort($cuts, fn (self $a, self $b) => $a->number <=> $b->number);

        return $cuts;
    }

    public function squareMillimetres(): float
    {
        return $this->width->toMillimetres() * $this->height->toMillimetres();
    }
}
