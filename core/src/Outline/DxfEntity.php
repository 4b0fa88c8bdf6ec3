<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

/** One entity of a DXF drawing while it is read: its group codes, and those of its vertices where it has some of its own. */
final class DxfEntity
{
    /** @var list<array{int, string}> */
    public array $codes = [];

    /** @var list<array<int, string>> */
    public array $vertices = [];

    public function __construct(public readonly string $type)
    {
    }

    public function put(int $code, string $value): void
    {
        $last = count($this->vertices) - 1;
        if ($last >= 0) {
            $this->vertices[$last][$code] = $value;
        } else {
            $this->codes[] = [$code, $value];
        }
    }

    /** The first value with that code. */
    public function get(int $code): ?string
    {
        foreach ($this->codes as [$known, $value]) {
            if ($known === $code) {
                return $value;
            }
        }

        return null;
    }
}
