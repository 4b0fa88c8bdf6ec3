<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

use Gimbo\Core\Measure\Length;

/** What a figure is made of. Invariant: the terms add up to the figure exactly. */
final readonly class MakeUp
{
    /** @param list<Term> $terms */
    private function __construct(public array $terms)
    {
    }

    /** Terms that add nothing are left out. */
    public static function of(Term ...$terms): self
    {
        $adding = [];
        foreach ($terms as $term) {
            $term->amount->isZero() || $adding[] = $term;
        }

        return new self($adding);
    }

    public function plus(Term ...$terms): self
    {
        return $this->and(self::of(...$terms));
    }

    public function and(self $other): self
    {
        return $other->terms === [] ? $this : new self([...$this->terms, ...$other->terms]);
    }

    /** The share numerator/denominator of every term, each remembering the whole it came from. */
    public function share(float $share): self
    {
        return self::of(...array_map(
            fn (Term $term) => new Term($term->kind, Length::nearestTo($term->amount->toMillimetres() * $share), $term->dimension, $term->amount),
            $this->terms,
        ));
    }

    /** The same figure as the tool can be set to; the difference becomes the rounding term. */
    public function roundedTo(Length $figure): self
    {
        $rounding = $figure->minus($this->figure());

        return $rounding->isZero() ? $this : new self([...$this->terms, new Term(TermKind::Rounding, $rounding)]);
    }

    public function figure(): Length
    {
        $ticks = 0;
        foreach ($this->terms as $term) {
            $ticks += $term->amount->ticks;
        }

        return Length::ofTicks($ticks);
    }
}
