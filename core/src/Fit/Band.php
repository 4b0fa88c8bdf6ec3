<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

use Gimbo\Core\Measure\Length;
use LogicException;

/** A figure that must be neither too small nor too large, and is best at one value. */
final readonly class Band
{
    /**
     * @param list<array{string, Length}> $states each up to its upper end, from the least on; what is beyond the last is $above
     * @param string $below the state of what is less than the least
     */
    public function __construct(public Length $least, public Length $best, private array $states, private string $below, private string $above)
    {
        $states !== [] || throw new LogicException('A band has a state.');
    }

    /** Its upper end. */
    public function most(): Length
    {
        return $this->states[count($this->states) - 1][1];
    }

    public function contains(Length $figure): bool
    {
        return ! $figure->isLessThan($this->least) && ! $figure->isMoreThan($this->most());
    }

    /** What a figure in it, or beside it, is called. */
    public function state(Length $figure): string
    {
        if ($figure->isLessThan($this->least)) {
            return $this->below;
        }
        foreach ($this->states as [$state, $upTo]) {
            if (! $figure->isMoreThan($upTo)) {
                return $state;
            }
        }

        return $this->above;
    }

    /** The same band, best at another value: what the maker asked for. */
    public function bestAt(Length $best): self
    {
        return new self($this->least, $best, $this->states, $this->below, $this->above);
    }

    /**
     * Of two figures the one inside the band that is nearer to its best; where neither is inside, the greater: what is too tight
     * cannot be used at all.
     */
    public function better(Length $less, Length $more): Length
    {
        [$isLess, $isMore] = [$this->contains($less), $this->contains($more)];
        if ($isLess !== $isMore) {
            return $isLess ? $less : $more;
        }
        $off = fn (Length $figure): int => abs($figure->minus($this->best)->ticks);

        return $isLess && $off($less) < $off($more) ? $less : $more;
    }
}
