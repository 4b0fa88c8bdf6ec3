<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Crease\Side;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Document\Limit;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Tool\Punches;

/** Reads `with`: everything that goes with a make. Usual sizes are common practice, no source. */
final class AdditionReader
{
    public const MOST = 60;

    private const MOST_LABELS = 500;

    private const LONGEST_LABEL = 200;

    private const NAME = '/^[A-Za-z0-9][A-Za-z0-9_-]{0,39}$/D';

    private const PLACE = '~^(\*|[a-z0-9-]{1,40}/(\*|[a-z0-9-]{1,40}))$~D';

    /** @var list<Addition> */
    private array $read = [];

    /** @param list<string> $papers ids of those there are */
    private function __construct(private readonly FieldReader $in, private readonly System $system, private readonly array $papers, private readonly Punches $punches)
    {
    }

    /**
     * @param list<string> $papers ids of those there are
     * @return list<Addition>
     */
    public static function read(FieldReader $in, System $system, array $papers, Punches $punches = new Punches): array
    {
        $with = $in->get('/with') ?? [];
        if (! is_array($with) || ! array_is_list($with) || count($with) > self::MOST) {
            $in->problem('/with', Reason::of('with.not-a-list', ['most' => self::MOST]));

            return [];
        }
        $reader = new self($in, $system, $papers, $punches);
        foreach (array_keys($with) as $i) {
            $reader->entry($i);
        }

        return $reader->read;
    }

    private function entry(int $i): void
    {
        [$in, $at] = [$this->in, "/with/$i"];
        $roles = array_column(Role::cases(), 'value');
        $in->get("$at/role") === null && $in->problem("$at/role", Reason::of('field.missing', ['known' => $roles]));
        $role = Role::from($in->choice("$at/role", $roles, Role::Mat->value));
        $in->allowOnly($at, ['id', 'role', ...$role->fields()]);
        $id = $in->get("$at/id");
        if (! is_string($id) || preg_match(self::NAME, $id) !== 1 || in_array($id, array_column($this->read, 'id'), true)) {
            $in->problem("$at/id", Reason::of('with.id'));

            return;
        }
        $choices = [];
        foreach ($role->choices() as $name => $known) {
            $choices[$name] = $in->choice("$at/$name", $known, $known[0]);
        }
        $side = $in->choice("$at/side", ['', ...array_column(Side::cases(), 'value')], '');
        $this->read[] = new Addition(
            $i, $id, $role,
            on: $this->on($at, $role),
            paper: $this->paper("$at/paper") ?? Paper::MAIN,
            border: $this->border($at, $role),
            lengths: $this->lengths($at, $role, $choices),
            choices: $choices,
            opening: $role === Role::Window ? $this->opening("$at/shape") : null,
            at: in_array($role, [Role::Window, Role::Strip], true) ? $this->middle("$at/at") : null,
            through: $role === Role::Window ? $this->through("$at/through") : null,
            backing: $this->part($at, 'backing', 'margin'),
            frame: $this->part($at, 'frame', 'width'),
            rim: $this->part($at, 'rim', 'width'),
            side: $side === '' ? null : Side::from($side),
            text: $role === Role::Label ? $in->text("$at/text", self::LONGEST_LABEL) : '',
            count: $in->count("$at/count", self::MOST_LABELS) ?? 1,
        );
    }

    private function on(string $at, Role $role): ?string
    {
        $on = $this->in->get("$at/on");
        if ($on === null && ! $role->needsPlace()) {
            return null;
        }
        $mats = array_column(array_filter($this->read, fn (Addition $other) => $other->role === Role::Mat), 'id');
        if (is_string($on) && (in_array($on, $mats, true) || preg_match(self::PLACE, $on) === 1)) {
            return $on;
        }
        $this->in->problem("$at/on", Reason::of('with.on', ['known' => ['lid/base', ...$mats]]));

        return null;
    }

    private function paper(string $at): ?string
    {
        $paper = $this->in->get($at);
        if ($paper === null || (is_string($paper) && in_array($paper, $this->papers, true))) {
            return $paper;
        }
        $this->in->problem($at, Reason::of('paper.unknown', ['text' => Reason::quote(is_string($paper) ? $paper : get_debug_type($paper)), 'known' => $this->papers]));

        return null;
    }

    private function border(string $at, Role $role): ?Border
    {
        if (! in_array('border', $role->fields(), true)) {
            return null;
        }
        $usual = match ($role) {
            Role::Strip => Length::zero(),
            Role::Liner => $this->usual(1, 4, 6),
            default => $this->usual(1, 8, 3),
        };
        if (! is_array($this->in->get("$at/border"))) {
            return Border::alike($this->in->length("$at/border", mayBeZero: true) ?? $usual);
        }
        $this->in->allowOnly("$at/border", ['width', 'height']);

        return new Border($this->in->length("$at/border/width", mayBeZero: true) ?? $usual, $this->in->length("$at/border/height", mayBeZero: true) ?? $usual);
    }

    /**
     * @param array<string, string> $choices
     * @return array<string, Length>
     */
    private function lengths(string $at, Role $role, array $choices): array
    {
        $usual = match ($role) {
            Role::Strip => ['width' => $this->usual(1, 2, 12)],
            Role::Window => array_filter([
                'backing/margin' => $this->in->get("$at/backing") === null ? null : $this->usual(1, 4, 6),
                'frame/width' => $this->in->get("$at/frame") === null ? null : $this->usual(1, 4, 6),
                'rim/width' => $this->in->get("$at/rim") === null ? null : $this->usual(1, 4, 6),
            ]),
            Role::Band => ['width' => Length::inches(3, 2), 'overlap' => Length::inches(3, 4)],
            Role::Ribbon => ['width' => $this->usual(3, 8, 10)] + ($choices['way'] === 'behind' ? [] : ['bow' => $this->usual(18, 1, 450)]),
            Role::Closure => match ($choices['by']) {
                'string' => ['size' => $this->punched($this->usual(1, 2, 13))],
                'catch' => ['size' => $this->punched($this->usual(1, 1, 25))],
                default => [],
            },
            Role::Label => ['width' => $this->usual(2, 1, 50), 'height' => $this->usual(1, 2, 12)] + $this->radius($at),
            Role::Mat => $this->radius($at),
            Role::Emboss => [
                'width' => $this->punches->plate->width ?? Length::inches(17, 4),
                'height' => $this->punches->plate->height ?? Length::inches(11, 2),
            ],
            default => [],
        };
        $lengths = [];
        foreach ($usual as $name => $length) {
            $lengths[$name] = $this->in->length("$at/$name") ?? $length;
        }

        return $lengths;
    }

    /** Round, in the size she has a punch for that is nearest to the usual one. */
    private function punched(Length $usual): Length
    {
        return $this->punches->circle($usual) ?? $usual;
    }

    /** @return array<string, Length> of corners that are rounded; none where they are not */
    private function radius(string $at): array
    {
        return $this->in->get("$at/radius") === null ? [] : ['radius' => $this->in->required("$at/radius")];
    }

    private function usual(int $numerator, int $denominator, int $mm): Length
    {
        return $this->system === System::Imperial ? Length::inches($numerator, $denominator) : Length::mm($mm);
    }

    private function opening(string $at): ?Opening
    {
        $in = $this->in;
        $in->allowOnly($at, ['rect', 'radius', 'circle', 'oval', 'ring']);
        $mm = fn (string $field): float => $in->required("$at/$field")->toMillimetres();

        return match (true) {
            $in->get("$at/circle") !== null => Opening::circle($mm('circle')),
            $in->get("$at/oval") !== null => Opening::oval($mm('oval/0'), $mm('oval/1')),
            $in->get("$at/ring") !== null => ($ring = $in->ring("$at/ring", Limit::OUTLINE_POINTS)) === [] ? null : Opening::outline($ring),
            default => $this->rectangle($at),
        };
    }

    private function rectangle(string $at): ?Opening
    {
        if ($this->in->get("$at/rect") === null) {
            $this->in->problem($at, Reason::of('with.shape'));

            return null;
        }
        $radius = $this->in->length("$at/radius", mayBeZero: true) ?? Length::zero();

        return Opening::rectangle($this->in->required("$at/rect/0")->toMillimetres(), $this->in->required("$at/rect/1")->toMillimetres(), $radius->toMillimetres());
    }

    /** @return ?array{Length, Length} */
    private function middle(string $at): ?array
    {
        $where = $this->in->get($at);
        if ($where === null || $where === 'middle') {
            return null;
        }
        $this->in->allowOnly($at, ['left', 'bottom']);

        return [$this->in->required("$at/left"), $this->in->required("$at/bottom")];
    }

    /** @return ?list<string> */
    private function through(string $at): ?array
    {
        $through = $this->in->get($at);
        $known = array_column(array_filter($this->read, fn (Addition $other) => $other->role->isLayer()), 'id');
        if ($through === null) {
            return null;
        }
        if (! is_array($through) || ! array_is_list($through) || array_filter($through, fn (mixed $id) => ! in_array($id, $known, true)) !== []) {
            $this->in->problem($at, Reason::of('with.through', ['known' => $known]));

            return [];
        }

        /** @var list<string> */
        return $through;
    }

    /** The paper of a part of a window; null where it has no such part. */
    private function part(string $at, string $part, string $length): ?string
    {
        if ($this->in->get("$at/$part") === null) {
            return null;
        }
        $this->in->allowOnly("$at/$part", ['paper', $length]);

        return $this->paper("$at/$part/paper") ?? Paper::MAIN;
    }
}
