<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Closure;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\CaliperText;
use Gimbo\Core\Paper\Rectangle;
use LogicException;

/** Reads the fields of one spec as the table has them, and notes every length and count of it, said or usual. */
final class Reading
{
    /** @var array<string, Length> every length that was read, by pointer */
    public array $lengths = [];

    /** @var array<string, int> every count that was read, by pointer */
    public array $counts = [];

    public function __construct(public readonly FieldReader $in, private readonly Table $table)
    {
    }

    /** Says which fields that are there are none; `role` is that of the entry of `with` it stands in. */
    public function only(string $at, ?string $role = null, string $reason = 'field.unknown'): void
    {
        $this->in->allowOnly($at, $this->table->names($at, $role), $reason);
    }

    public function isSaid(string $at): bool
    {
        return $this->in->get($at) !== null;
    }

    /** What is said, else what is usual; null where neither is. */
    public function length(string $at, ?Length $usual = null, ?string $role = null): ?Length
    {
        $row = $this->row($at, $role);
        $read = $row->kind === Kind::Caliper ? CaliperText::parse(...) : null;
        $length = $row->isRequired && $usual === null ? $this->in->required($at) : $this->in->length($at, $row->mayBeZero, $read) ?? $usual;
        $length === null || $this->lengths[$at] = $length;

        return $length;
    }

    /** A length that is there whatever is said. */
    public function lengthOr(string $at, Length $usual, ?string $role = null): Length
    {
        return $this->length($at, $usual, $role) ?? $usual;
    }

    /** A length without which nothing can be worked out. */
    public function required(string $at, ?string $role = null): Length
    {
        return $this->length($at, null, $role) ?? throw new LogicException("$at is not required.");
    }

    /** What a tool can be set to; noted by its finest scale. */
    public function step(string $tool, ?Step $usual): ?Step
    {
        $step = ToolFields::step($this, $tool) ?? $usual;
        $step === null || $this->lengths["/tools/$tool"] = $step->size;

        return $step;
    }

    /** A pair of lengths, as wide and as high; null where it is not said. */
    public function pair(string $at): ?Rectangle
    {
        return $this->isSaid($at) ? new Rectangle($this->required("$at/0"), $this->required("$at/1")) : null;
    }

    /** What is said, else what is usual in these circumstances; null where neither is. */
    public function count(string $at, ?int $usual = null, ?string $role = null): ?int
    {
        $row = $this->row($at, $role);
        $count = $this->in->count($at, $row->most, $row->least) ?? $usual;
        $count === null || $this->counts[$at] = $count;

        return $count;
    }

    public function choice(string $at, ?string $role = null): string
    {
        $choices = $this->row($at, $role)->choices;

        return $this->in->choice($at, $choices, $choices[0] ?? '');
    }

    public function name(string $at): ?string
    {
        return $this->in->optionalName($at, $this->row($at)->most);
    }

    public function text(string $at, ?string $role = null): string
    {
        return $this->in->text($at, $this->row($at, $role)->most);
    }

    /** @return list<Point> */
    public function ring(string $at, ?string $role = null): array
    {
        return $this->in->ring($at, $this->row($at, $role)->most);
    }

    /**
     * @param list<string> $papers ids of those there are
     * @return ?string the id of one of them; null where none is said
     */
    public function paper(string $at, array $papers): ?string
    {
        $paper = $this->in->get($at);
        if ($paper === null || (is_string($paper) && in_array($paper, $papers, true))) {
            return $paper;
        }
        $text = Reason::quote(is_string($paper) ? $paper : get_debug_type($paper));
        $this->in->problem($at, Reason::of('paper.unknown', ['text' => $text, 'known' => $papers]));

        return null;
    }

    /**
     * @param Closure(int): Reason $shape what is wrong where it is no list, or too long a one
     * @return list<int> the indexes of a list
     */
    public function entries(string $at, Closure $shape): array
    {
        $most = $this->row($at)->most;
        $given = $this->in->get($at) ?? [];
        if (! is_array($given) || ! array_is_list($given) || count($given) > $most) {
            $this->in->problem($at, $shape($most));

            return [];
        }

        return array_keys($given);
    }

    private function row(string $at, ?string $role = null): Row
    {
        return $this->table->row($at, $role) ?? throw new LogicException("$at is no field.");
    }
}
