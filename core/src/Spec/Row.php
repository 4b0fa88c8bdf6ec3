<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Closure;
use Gimbo\Core\Measure\Length;

/**
 * One field that can be asked for: what may stand in it, what it is when nothing is said, and what is done with it. Everything that reads,
 * edits, describes or offers a field goes by its row; a field more is a row and its words (docs/adding-a-make.md).
 */
final readonly class Row
{
    /**
     * @param string $name under what it stands in, as `shape/circle`; `*` is any index or any id
     * @param list<string> $choices the usual one first
     * @param int $least of a count
     * @param int $most of a count; characters of a name or a text; entries of a list
     * @param ?Moved $moved by what the arrow keys move it; null for what is not offered to be changed by itself
     * @param ?array{float, float} $ordinaryMm between which lengths nobody is asked back, mm
     * @param (Closure(Circumstances): (Length|int|null))|null $usual what it is when nothing is said; null where that is worked out
     * @param ?array{non-empty-list<string>, string} $when other options, and the choice which one of them must have for it to count
     * @param ?Length $thickerThan what is held must be for it to matter
     * @param bool $mayBeEmpty whether nothing typed there means the usual
     * @param ?int $lessens when less of it is tried to mend a fit that fails, the lowest first; null where it would be another thing then
     * @param array<string, string> $mends the fits that less of it may mend, and what of it is less: a pointer within it, or nothing
     * @param int $since the version of a design document since which it is there
     */
    private function __construct(
        public string $name,
        public Kind $kind,
        public array $choices = [],
        public int $least = 1,
        public int $most = 0,
        public ?Moved $moved = null,
        public ?array $ordinaryMm = null,
        public ?Closure $usual = null,
        public ?array $when = null,
        public ?Length $thickerThan = null,
        public bool $isRequired = false,
        public bool $mayBeZero = false,
        public bool $mayBeEmpty = false,
        public ?int $lessens = null,
        public array $mends = [],
        public int $since = 1,
    ) {
    }

    public static function length(string $name): self
    {
        return new self($name, Kind::Length, moved: Moved::Cut);
    }

    /** A length that may also be nothing. */
    public static function lengthOrZero(string $name): self
    {
        return self::length($name)->but(['mayBeZero' => true]);
    }

    public static function caliper(string $name): self
    {
        return new self($name, Kind::Caliper, moved: Moved::Caliper, mayBeZero: true);
    }

    public static function border(string $name): self
    {
        return new self($name, Kind::Border, moved: Moved::Cut, mayBeZero: true, mayBeEmpty: true);
    }

    /** @param non-empty-list<string> $choices the usual one first */
    public static function choice(string $name, array $choices): self
    {
        return new self($name, Kind::Choice, $choices);
    }

    /**
     * A whole number.
     *
     * @param (Closure(Circumstances): int)|null $usual what it is when nothing is said; null for the least there may be
     */
    public static function count(string $name, int $least, int $most, ?Closure $usual = null): self
    {
        return new self($name, Kind::Count, least: $least, most: $most, usual: $usual);
    }

    /** @param int $most characters, or entries */
    public static function of(string $name, Kind $kind, int $most = 0): self
    {
        return new self($name, $kind, most: $most);
    }

    public function required(): self
    {
        return $this->but(['isRequired' => true]);
    }

    /** Nothing typed there means the usual. */
    public function emptied(): self
    {
        return $this->but(['mayBeEmpty' => true]);
    }

    /** Less of it may mend a fit that fails; of several that may, the one with the lowest number is tried first. */
    public function lessened(int $turn): self
    {
        return $this->but(['lessens' => $turn]);
    }

    /** Less of it, or of a part of it, may mend that fit. */
    public function mends(string $fit, string $part = ''): self
    {
        return $this->but(['mends' => [...$this->mends, $fit => $part]]);
    }

    public function moved(?Moved $by): self
    {
        return $this->but(['moved' => $by]);
    }

    /** Nobody is asked back between these, mm. */
    public function ordinary(float $least, float $most): self
    {
        return $this->but(['ordinaryMm' => [$least, $most]]);
    }

    /** @param Closure(Circumstances): (Length|int|null) $usual */
    public function usually(Closure $usual): self
    {
        return $this->but(['usual' => $usual]);
    }

    public function since(int $version): self
    {
        return $this->but(['since' => $version]);
    }

    public function orZero(): self
    {
        return $this->but(['mayBeZero' => true]);
    }

    /**
     * The same, ignored unless one of other options has this choice.
     *
     * @param non-empty-list<string> $options
     */
    public function onlyWith(array $options, string $choice): self
    {
        return $this->but(['when' => [$options, $choice]]);
    }

    /** The same, not worth asking about unless what is held is thicker than that. */
    public function forThickerThan(Length $thickness): self
    {
        return $this->but(['thickerThan' => $thickness]);
    }

    /** The same under another name: inside a part, or as one of several. */
    public function under(string $prefix): self
    {
        return $this->but(['name' => "$prefix/$this->name"]);
    }

    /** @param array<string, mixed> $changed */
    private function but(array $changed): self
    {
        /** @var array<string, never> $all its own properties, by name: whatever each takes */
        $all = $changed + get_object_vars($this);

        return new self(...$all);
    }
}
