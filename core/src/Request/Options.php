<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

use Gimbo\Core\Measure\Length;
use LogicException;

/** The options of one request, read against what the make offers: choices are filled in, lengths may be open. */
final readonly class Options
{
    /**
     * @param array<string, string> $choices
     * @param array<string, Length> $lengths
     */
    public function __construct(private array $choices, private array $lengths)
    {
    }

    public function choice(string $id): string
    {
        return $this->choices[$id] ?? throw new LogicException("No choice is called $id.");
    }

    public function length(string $id): ?Length
    {
        return $this->lengths[$id] ?? null;
    }
}
