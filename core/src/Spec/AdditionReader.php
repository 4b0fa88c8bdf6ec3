<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Crease\Side;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Steps\Opening;

/** Reads `with`: everything that goes with a make, each entry by the rows of its role. */
final class AdditionReader
{
    private const NAME = '/^[A-Za-z0-9][A-Za-z0-9_-]{0,39}$/D';

    private const PLACE = '~^(\*|[a-z0-9-]{1,40}/(\*|[a-z0-9-]{1,40}))$~D';

    /** @var list<Addition> */
    private array $read = [];

    /** @param list<string> $papers ids of those there are */
    private function __construct(
        private readonly Reading $in,
        private readonly AddedOffers $offers,
        private readonly Circumstances $among,
        private readonly array $papers,
    ) {
    }

    /**
     * @param list<string> $papers ids of those there are
     * @return list<Addition>
     */
    public static function read(Reading $in, AddedOffers $offers, Circumstances $among, array $papers): array
    {
        $reader = new self($in, $offers, $among, $papers);
        foreach ($in->entries('/with', fn (int $most): Reason => Reason::of('with.not-a-list', ['most' => $most])) as $i) {
            $reader->entry($i);
        }

        return $reader->read;
    }

    private function entry(int $i): void
    {
        [$in, $at] = [$this->in->in, "/with/$i"];
        $roles = $this->offers->ids();
        $in->get("$at/role") === null && $in->problem("$at/role", Reason::of('field.missing', ['known' => $roles]));
        $role = $in->choice("$at/role", $roles, $roles[0]);
        $offer = $this->offers->find($role) ?? throw new \LogicException("Nothing is called $role.");
        $this->in->only($at, $role);
        $id = $in->get("$at/id");
        if (! is_string($id) || preg_match(self::NAME, $id) !== 1 || in_array($id, array_column($this->read, 'id'), true)) {
            $in->problem("$at/id", Reason::of('with.id'));

            return;
        }
        $of = fn (Kind ...$kinds): array => array_values(array_filter($offer->rows(), fn (Row $row) => in_array($row->kind, $kinds, true)));
        $choices = [];
        foreach ($of(Kind::Choice) as $row) {
            $choices[$row->name] = $this->in->choice("$at/$row->name", $role);
        }
        $among = new Circumstances($this->among->system, $this->among->item, $this->among->punches, $choices);
        $texts = $counts = [];
        foreach ($of(Kind::Text) as $row) {
            $texts[$row->name] = $this->in->text("$at/$row->name", $role);
        }
        foreach ($of(Kind::Count) as $row) {
            $counts[$row->name] = $this->in->count("$at/$row->name", $row->least, $role) ?? $row->least;
        }
        $first = fn (Kind $kind): ?string => isset($of($kind)[0]) ? "$at/{$of($kind)[0]->name}" : null;
        $side = ($where = $first(Kind::Side)) === null ? '' : $in->choice($where, ['', ...array_column(Side::cases(), 'value')], '');
        $this->read[] = new Addition(
            $i, $id, $offer,
            on: $this->on($at, $offer),
            papers: $this->papersOf($at, $of(Kind::PaperId, Kind::Part)),
            border: $this->border($first(Kind::Border), $of(Kind::Border)[0] ?? null, $among, $role),
            lengths: $this->lengths($at, $of(Kind::Length), $among, $role),
            choices: $choices,
            opening: ($where = $first(Kind::Shape)) === null ? null : $this->opening($where, $role),
            at: ($where = $first(Kind::Middle)) === null ? null : $this->middle($where, $role),
            through: ($where = $first(Kind::Ids)) === null ? null : $this->through($where),
            side: $side === '' ? null : Side::from($side),
            texts: $texts,
            counts: $counts,
        );
    }

    private function on(string $at, AddedOffer $role): ?string
    {
        $on = $this->in->in->get("$at/on");
        if ($on === null && ! $role->needsPlace()) {
            return null;
        }
        $carrying = array_column(array_filter($this->read, fn (Addition $other) => $other->role->carries()), 'id');
        if (is_string($on) && (in_array($on, $carrying, true) || preg_match(self::PLACE, $on) === 1)) {
            return $on;
        }
        $this->in->in->problem("$at/on", Reason::of('with.on', ['known' => ['lid/base', ...$carrying]]));

        return null;
    }

    /**
     * @param list<Row> $rows of papers, and of parts that have one
     * @return array<string, string> ids by the part's name, its own by an empty one; a part that is not there has none
     */
    private function papersOf(string $at, array $rows): array
    {
        $papers = [];
        foreach ($rows as $row) {
            if ($row->kind === Kind::PaperId) {
                $papers[''] = $this->in->paper("$at/$row->name", $this->papers) ?? Paper::MAIN;
            } elseif ($this->in->isSaid("$at/$row->name")) {
                $role = $this->in->in->get("$at/role");
                $this->in->only("$at/$row->name", is_string($role) ? $role : null);
                $papers[$row->name] = $this->in->paper("$at/$row->name/paper", $this->papers) ?? Paper::MAIN;
            }
        }

        return $papers;
    }

    private function border(?string $at, ?Row $row, Circumstances $among, string $role): ?Border
    {
        if ($at === null || $row === null) {
            return null;
        }
        $usual = $row->usual === null ? null : ($row->usual)($among);
        $usual = $usual instanceof Length ? $usual : Length::zero();
        if (! is_array($this->in->in->get($at))) {
            return Border::alike($this->in->lengthOr($at, $usual, $role));
        }
        $this->in->only($at, $role);

        return new Border($this->in->lengthOr("$at/width", $usual, $role), $this->in->lengthOr("$at/height", $usual, $role));
    }

    /**
     * @param list<Row> $rows
     * @return array<string, Length> said or usual, by the field's pointer within the entry; none where a part is not there
     */
    private function lengths(string $at, array $rows, Circumstances $among, string $role): array
    {
        $lengths = [];
        foreach ($rows as $row) {
            $part = strstr($row->name, '/', true);
            if ($part !== false && ! $this->in->isSaid("$at/$part")) {
                continue;
            }
            $usual = $row->usual === null ? null : ($row->usual)($among);
            $length = $usual === null && $row->usual !== null ? null : $this->in->length("$at/$row->name", $usual instanceof Length ? $usual : null, $role);
            $length === null || $lengths[$row->name] = $length;
        }

        return $lengths;
    }

    private function opening(string $at, string $role): ?Opening
    {
        $in = $this->in;
        $in->only($at, $role);
        $mm = fn (string $field): float => $in->required("$at/$field", $role)->toMillimetres();

        return match (true) {
            $in->isSaid("$at/circle") => Opening::circle($mm('circle')),
            $in->isSaid("$at/oval") => Opening::oval($mm('oval/0'), $mm('oval/1')),
            $in->isSaid("$at/ring") => ($ring = $in->ring("$at/ring", $role)) === [] ? null : Opening::outline($ring),
            default => $this->rectangle($at, $role),
        };
    }

    private function rectangle(string $at, string $role): ?Opening
    {
        if (! $this->in->isSaid("$at/rect")) {
            $this->in->in->problem($at, Reason::of('with.shape'));

            return null;
        }
        $radius = $this->in->length("$at/radius", null, $role) ?? Length::zero();
        [$width, $height] = array_map(fn (string $side): Length => $this->in->required("$at/rect/$side", $role), ['0', '1']);

        return Opening::rectangle($width->toMillimetres(), $height->toMillimetres(), $radius->toMillimetres());
    }

    /** @return ?array{Length, Length} */
    private function middle(string $at, string $role): ?array
    {
        $where = $this->in->in->get($at);
        if ($where === null || $where === 'middle') {
            return null;
        }
        $this->in->only($at, $role);

        return [$this->in->required("$at/left", $role), $this->in->required("$at/bottom", $role)];
    }

    /** @return ?list<string> */
    private function through(string $at): ?array
    {
        $through = $this->in->in->get($at);
        $known = array_column(array_filter($this->read, fn (Addition $other) => $other->role->isLayer()), 'id');
        if ($through === null) {
            return null;
        }
        if (! is_array($through) || ! array_is_list($through) || array_filter($through, fn (mixed $id) => ! in_array($id, $known, true)) !== []) {
            $this->in->in->problem($at, Reason::of('with.through', ['known' => $known]));

            return [];
        }

        /** @var list<string> */
        return $through;
    }
}
