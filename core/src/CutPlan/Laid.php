<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/**
 * A part of a sheet while it is planned, in ticks, a kerf added to both its sides: so cuts take nothing away, and sums are plain.
 *
 * Either it is parted by one cut into two, or it is a piece, or it is left over.
 */
final class Laid
{
    /** Whether the cut is upright, at so much of the width; else level, at so much of the height. */
    public bool $isUpright = true;

    public int $at = 0;

    public ?Laid $first = null;

    public ?Laid $second = null;

    /** Index of the size of piece it is; null for what is none. */
    public ?int $size = null;

    /** Id of the piece it is, where it must be that one and not only one of its size. */
    public ?string $id = null;

    public function __construct(public int $width, public int $height)
    {
    }

    /** Parts it by one cut. */
    public function cut(bool $isUpright, int $at): void
    {
        [$this->isUpright, $this->at] = [$isUpright, $at];
        $this->first = $isUpright ? new self($at, $this->height) : new self($this->width, $at);
        $this->second = $isUpright ? new self($this->width - $at, $this->height) : new self($this->width, $this->height - $at);
    }

    /** Becomes as another one of its size is laid. */
    public function become(self $laid): void
    {
        [$this->isUpright, $this->at, $this->first, $this->second, $this->size, $this->id] = [$laid->isUpright, $laid->at, $laid->first, $laid->second, $laid->size, $laid->id];
    }

    /** Of a roll that is cut into sections from its lower end on, what stays on it: the part above the last cut; null where nothing does. */
    public function rest(): ?self
    {
        for ($rest = $this; $rest->second !== null && ! $rest->isUpright; $rest = $rest->second);

        return $rest->first === null && $rest->size === null ? $rest : null;
    }

    /** @return list<self> what it is parted into in the end */
    public function leaves(): array
    {
        if ($this->first === null || $this->second === null) {
            return [$this];
        }

        return [...$this->first->leaves(), ...$this->second->leaves()];
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }
}
