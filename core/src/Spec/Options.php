<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use LogicException;

/** The options of one request, read against what the make offers: choices are filled in, lengths may be open. */
final readonly class Options
{
    /**
     * @param array<string, string> $choices
     * @param array<string, Length> $lengths
     * @param array<string, int> $counts
     */
    public function __construct(private array $choices, private array $lengths, private array $counts = [])
    {
    }

    public function choice(string $id): string
    {
        return $this->choices[$id] ?? throw new LogicException("No choice is called $id.");
    }

    public function count(string $id): int
    {
        return $this->counts[$id] ?? throw new LogicException("No count is called $id.");
    }

    public function length(string $id): ?Length
    {
        return $this->lengths[$id] ?? null;
    }

    /** @return array<string, Length> the lengths that were asked for, by option */
    public function lengthsAsked(): array
    {
        return $this->lengths;
    }

    /** @return array<string, string|int> every choice and count, by option */
    public function all(): array
    {
        return $this->choices + $this->counts;
    }
}
