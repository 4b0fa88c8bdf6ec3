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
        return new self(array_values(array_filter($terms, fn (Term $term) => ! $term->amount->isZero())));
    }

    public function plus(Term ...$terms): self
    {
        return self::of(...$this->terms, ...$terms);
    }

    public function and(self $other): self
    {
        return new self([...$this->terms, ...$other->terms]);
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
        return $this->plus(new Term(TermKind::Rounding, $figure->minus($this->figure())));
    }

    public function figure(): Length
    {
        return Length::zero()->plus(...array_map(fn (Term $term) => $term->amount, $this->terms));
    }
}
