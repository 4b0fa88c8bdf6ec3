<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

/** Edits to the request, as JSON pointer and new value, after which a fit holds. */
final readonly class Remedy
{
    /**
     * @param non-empty-array<string, mixed> $edits value by pointer into the spec
     * @param array<string, string> $params what belongs in its sentence
     */
    public function __construct(public string $id, public array $edits, public array $params = [])
    {
    }
}
