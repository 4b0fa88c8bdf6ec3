<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** A place in a spec: its row, where it is a field, and what may stand in it, by name; `*` is any index or any id. */
final class Node
{
    /** @var array<array-key, self> */
    public array $in = [];

    public ?Row $row = null;

    public function put(Row $row): void
    {
        $here = $this;
        foreach (explode('/', $row->name) as $key) {
            $here = $here->in[$key] ??= new self;
        }
        $here->row = $row;
    }

    /** @param list<string> $path */
    public function at(array $path): ?self
    {
        $here = $this;
        foreach ($path as $key) {
            $here = $here->in[$key] ?? $here->in['*'] ?? null;
            if ($here === null) {
                return null;
            }
        }

        return $here;
    }

    /** @return array<string, Row> by pointer from here */
    public function rows(string $at = ''): array
    {
        $rows = $this->row === null ? [] : [$at => $this->row];
        foreach ($this->in as $name => $node) {
            $rows += $node->rows("$at/$name");
        }

        return $rows;
    }
}
