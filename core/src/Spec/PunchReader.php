<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Tool\Punches;

/** Reads `tools/punches`: the sizes of what cuts one size only (docs/with.md, "Punches and dies"). */
final class PunchReader
{
    private const MOST = 40;

    private const FIELDS = ['circles', 'circleReach', 'corners', 'tab', 'repeat', 'holeReach', 'dies', 'plate', 'tapes'];

    private const AT = '/tools/punches';

    public static function read(FieldReader $in): Punches
    {
        $in->allowOnly(self::AT, self::FIELDS);
        $at = fn (string $field): string => self::AT."/$field";

        return new Punches(
            self::lengths($in, $at('circles')), $in->length($at('circleReach')), self::lengths($in, $at('corners')), self::size($in, $at('tab')), $in->length($at('repeat')),
            $in->length($at('holeReach')), self::dies($in, $at('dies')), self::size($in, $at('plate')), self::lengths($in, $at('tapes')),
        );
    }

    /** @return list<Length> the smallest first */
    private static function lengths(FieldReader $in, string $at): array
    {
        $read = array_map(fn (int $i): Length => $in->required("$at/$i"), self::entries($in, $at));
        usort($read, fn (Length $a, Length $b) => $a->compareTo($b));

        return $read;
    }

    private static function size(FieldReader $in, string $at): ?Rectangle
    {
        return $in->get($at) === null ? null : new Rectangle($in->required("$at/0"), $in->required("$at/1"));
    }

    /** @return list<array{string, Rectangle}> */
    private static function dies(FieldReader $in, string $at): array
    {
        $dies = [];
        foreach (self::entries($in, $at) as $i) {
            $in->allowOnly("$at/$i", ['rect', 'oval']);
            $shape = $in->get("$at/$i/oval") === null ? 'rect' : 'oval';
            $dies[] = [$shape, new Rectangle($in->required("$at/$i/$shape/0"), $in->required("$at/$i/$shape/1"))];
        }

        return $dies;
    }

    /** @return list<int> the indexes of a list */
    private static function entries(FieldReader $in, string $at): array
    {
        $given = $in->get($at) ?? [];
        if (! is_array($given) || ! array_is_list($given) || count($given) > self::MOST) {
            $in->problem($at, Reason::of('punches.list', ['most' => self::MOST]));

            return [];
        }

        return array_keys($given);
    }
}
