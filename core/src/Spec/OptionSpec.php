<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Closure;
use Gimbo\Core\Measure\Length;

/** An option a make offers: its kind, its choices, and when it means anything. */
final readonly class OptionSpec
{
    /**
     * @param list<string> $choices of a choice, the default first
     * @param (Closure(Item): int)|null $usual of a count
     * @param array{non-empty-list<string>, string}|null $when other options, and the choice which one of them must have for this one to count
     * @param ?Length $thickerThan what is held must be for this one to matter
     */
    private function __construct(
        public string $id,
        public OptionKind $kind,
        public array $choices = [],
        public ?array $when = null,
        public int $least = 0,
        public int $most = 0,
        public bool $mayBeZero = false,
        public ?Closure $usual = null,
        public ?Length $thickerThan = null,
    ) {
    }

    /** @param non-empty-list<string> $choices the default first */
    public static function choice(string $id, array $choices): self
    {
        return new self($id, OptionKind::Choice, $choices);
    }

    /** A length greater than zero; what it is when nothing is said is the make's to work out. */
    public static function length(string $id): self
    {
        return new self($id, OptionKind::Length);
    }

    /** A length that may also be nothing. */
    public static function lengthOrZero(string $id): self
    {
        return new self($id, OptionKind::Length, mayBeZero: true);
    }

    /**
     * A whole number.
     *
     * @param Closure(Item): int $usual what it is when nothing is said
     */
    public static function count(string $id, int $least, int $most, Closure $usual): self
    {
        return new self($id, OptionKind::Count, least: $least, most: $most, usual: $usual);
    }

    /**
     * The same option, ignored unless one of others has this choice.
     *
     * @param non-empty-list<string> $options
     */
    public function onlyWith(array $options, string $choice): self
    {
        return new self($this->id, $this->kind, $this->choices, [$options, $choice], $this->least, $this->most, $this->mayBeZero, $this->usual, $this->thickerThan);
    }

    /** The same option, not worth asking about unless what is held is thicker than that. */
    public function forThickerThan(Length $thickness): self
    {
        return new self($this->id, $this->kind, $this->choices, $this->when, $this->least, $this->most, $this->mayBeZero, $this->usual, $thickness);
    }
}
