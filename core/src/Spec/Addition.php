<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Crease\Side;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Steps\Opening;
use LogicException;

/** One thing that goes with a make, as it was asked for: an entry of `with` in a spec (docs/with.md). */
final readonly class Addition
{
    /** On every panel that will be seen. */
    public const EVERYWHERE = '*';

    /**
     * @param int $index in the spec
     * @param ?string $on a panel (`lid/base`), all panels of a piece (`lid/*`), all there are (`*`), or the id of what was added before
     * @param array<string, string> $papers ids of papers, its own by an empty name, that of a part it has by the part's
     * @param ?Border $border around it
     * @param array<string, Length> $lengths what else it measures, said or usual, by the field's pointer within the entry
     * @param array<string, string> $choices
     * @param ?Opening $opening of a window, its middle where $at says
     * @param ?array{Length, Length} $at where its middle lies, from the panel's left and lower edge; null for the middle
     * @param ?list<string> $through what lies over a window and is open too; null for everything
     * @param ?Side $side of the panel it lies on; null for the one that is seen
     * @param array<string, string> $texts
     * @param array<string, int> $counts
     */
    public function __construct(
        public int $index,
        public string $id,
        public AddedOffer $role,
        public ?string $on = null,
        private array $papers = [],
        public ?Border $border = null,
        public array $lengths = [],
        public array $choices = [],
        public ?Opening $opening = null,
        public ?array $at = null,
        public ?array $through = null,
        public ?Side $side = null,
        private array $texts = [],
        private array $counts = [],
    ) {
    }

    /** Id of what it is cut from. */
    public function paper(): string
    {
        return $this->papers[''] ?? Paper::MAIN;
    }

    /** Id of what a part of it is cut from; null where it has no such part. */
    public function paperOf(string $part): ?string
    {
        return $this->papers[$part] ?? null;
    }

    public function text(string $name): string
    {
        return $this->texts[$name] ?? '';
    }

    public function count(string $name): int
    {
        return $this->counts[$name] ?? 1;
    }

    public function length(string $name): Length
    {
        return $this->lengths[$name] ?? throw new LogicException("$this->id has no $name.");
    }

    public function choice(string $name): string
    {
        return $this->choices[$name] ?? throw new LogicException("$this->id has no $name.");
    }

    /** Whether it is asked for on a panel, or on something that was added. */
    public function liesOn(string $place): bool
    {
        return $this->on === $place || ($this->on === self::EVERYWHERE && str_contains($place, '/'))
            || ($this->on !== null && str_ends_with($this->on, '/'.self::EVERYWHERE) && str_starts_with($place, substr($this->on, 0, -1)));
    }
}
