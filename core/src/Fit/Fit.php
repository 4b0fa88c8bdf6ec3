<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

use Gimbo\Core\Measure\Length;

/**
 * One thing that must hold: what was asked, what there is, and what a slip of the hand would leave.
 *
 * `need` is what was asked for, clearance included; `bare` is what it takes at the very least (the contents without
 * their clearance); `slip` is how much smaller `have` gets when the settings it hangs on are each missed by
 * what a hand can miss. Critical means: one slip and the bare need is no longer there.
 */
final readonly class Fit
{
    /** What a careful hand misses in setting, cutting or folding; common practice, no source. */
    public static function handMiss(): Length
    {
        return Length::mm(1, 2);
    }

    /**
     * @param list<Remedy> $remedies
     * @param ?string $piece the piece it is about, where it is about one of several
     * @param ?Band $band where there can also be too much of it: `need` is its lower end then
     */
    public function __construct(
        public string $id,
        public Length $need,
        public Length $have,
        public Length $bare,
        public Length $slip,
        public MakeUp $madeOf,
        public array $remedies = [],
        public ?string $piece = null,
        public ?Band $band = null,
    ) {
    }

    /** A fit whose need is a figure of the trade, not a sum. */
    public static function plain(string $id, Length $need, Length $have, Length $bare, Length $slip): self
    {
        return new self($id, $need, $have, $bare, $slip, MakeUp::of());
    }

    /** The same fit, about one of several pieces. */
    public function about(string $piece): self
    {
        return new self($this->id, $this->need, $this->have, $this->bare, $this->slip, $this->madeOf, $this->remedies, $piece, $this->band);
    }

    public function slack(): Length
    {
        return $this->have->minus($this->need);
    }

    public function isOk(): bool
    {
        return ! $this->slack()->isLessThan(Length::zero()) && ($this->band === null || $this->band->contains($this->have));
    }

    /** What there is of it is called so, where it has names: `snug`, `falls-off`. */
    public function state(): ?string
    {
        return $this->band?->state($this->have);
    }

    public function isCritical(): bool
    {
        return $this->have->minus($this->slip)->isLessThan($this->bare);
    }

    /** @param list<Remedy> $remedies */
    public function withRemedies(array $remedies): self
    {
        return new self($this->id, $this->need, $this->have, $this->bare, $this->slip, $this->madeOf, $remedies, $this->piece, $this->band);
    }
}
