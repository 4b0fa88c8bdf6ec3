<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Tool\Punches;

/** Reads `tools/punches`: the sizes of what cuts one size only (docs/with.md, "Punches and dies"). */
final class PunchReader
{
    private const AT = '/tools/punches';

    public static function read(Reading $in): Punches
    {
        $in->only(self::AT);
        $at = fn (string $field): string => self::AT."/$field";

        return new Punches(
            self::lengths($in, $at('circles')), $in->length($at('circleReach')), self::lengths($in, $at('corners')), $in->pair($at('tab')),
            $in->length($at('repeat')), $in->length($at('holeReach')), self::dies($in, $at('dies')), $in->pair($at('plate')),
            self::lengths($in, $at('tapes')),
        );
    }

    /** @return list<Length> the smallest first */
    private static function lengths(Reading $in, string $at): array
    {
        $read = array_map(fn (int $i): Length => $in->required("$at/$i"), self::entries($in, $at));
        usort($read, fn (Length $a, Length $b) => $a->compareTo($b));

        return $read;
    }

    /** @return list<array{string, Rectangle}> */
    private static function dies(Reading $in, string $at): array
    {
        $dies = [];
        foreach (self::entries($in, $at) as $i) {
            $in->only("$at/$i");
            $shape = $in->isSaid("$at/$i/oval") ? 'oval' : 'rect';
            $dies[] = [$shape, new Rectangle($in->required("$at/$i/$shape/0"), $in->required("$at/$i/$shape/1"))];
        }

        return $dies;
    }

    /** @return list<int> the indexes of a list */
    private static function entries(Reading $in, string $at): array
    {
        return $in->entries($at, fn (int $most): Reason => Reason::of('punches.list', ['most' => $most]));
    }
}
