<?php

declare(strict_types=1);

namespace Gimbo\Core\Library;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\Unit;

/**
 * Reads what there is of a paper: sheets of one or more sizes and how many, offcuts, rolls (their height is their length), and where they lie.
 *
 * @phpstan-type Row array{id: string, width: string, height: string, count: int, offcut: bool, place: string, roll?: true}
 */
final readonly class StockReader
{
    public const MOST_ROWS = 300;

    public const MOST_SHEETS = 100_000;

    public const LONGEST_PLACE = 60;

    /**
     * Problems are left with the reader. A row without an id of its own gets one.
     *
     * @param FieldReader $in of what has `/stock`, a list of rows
     * @param Unit $bare of lengths without one
     * @return list<Row> lengths with their unit
     */
    public static function read(FieldReader $in, Unit $bare): array
    {
        $rows = $in->get('/stock') ?? [];
        if (! is_array($rows) || ! array_is_list($rows) || count($rows) > self::MOST_ROWS) {
            $in->problem('/stock', Reason::of('plan.list', ['most' => self::MOST_ROWS]));

            return [];
        }
        $read = [];
        $given = array_column($rows, 'id');
        foreach (array_keys($rows) as $i) {
            $at = "/stock/$i";
            $in->allowOnly($at, ['id', 'width', 'height', 'count', 'offcut', 'place', 'roll']);
            $isRoll = $in->get("$at/roll") === true;
            $id = $in->get("$at/id");
            $place = $in->get("$at/place") ?? '';
            $in->get("$at/count") === null && $in->problem("$at/count", Reason::of('count.out-of-range', ['least' => 0, 'most' => self::MOST_SHEETS]));
            $read[] = [
                'id' => is_string($id) && preg_match('/^[A-Za-z0-9-]{1,40}$/D', $id) === 1 && ! in_array($id, array_column($read, 'id'), true) ? $id : self::free([...array_column($read, 'id'), ...$given]),
                'width' => self::length($in, "$at/width", $bare), 'height' => self::length($in, "$at/height", $bare, $isRoll ? LengthParser::limitOfRolls() : null),
                'count' => $in->count("$at/count", self::MOST_SHEETS, 0) ?? 0, 'offcut' => ! $isRoll && $in->get("$at/offcut") === true,
                'place' => $place === '' ? '' : $in->name("$at/place", self::LONGEST_PLACE),
            ] + ($isRoll ? ['roll' => true] : []);
        }

        return $read;
    }

    /**
     * An id that no row has.
     *
     * @param array<mixed> $taken
     */
    public static function free(array $taken): string
    {
        for ($n = 1; in_array("s$n", $taken, true); $n++);

        return "s$n";
    }

    private static function length(FieldReader $in, string $at, Unit $bare, ?Length $limit = null): string
    {
        try {
            $typed = $in->get($at);
            $written = LengthParser::read(is_string($typed) ? $typed : throw InvalidLength::notText(), $bare, $limit);
            $written->length->isPositive() || throw InvalidLength::notPositive();

            return $written->canonical() ?? trim((string) $typed).($written->unitIsWritten ? '' : ' '.$written->unit->value);
        } catch (InvalidLength $error) {
            $in->problem($at, $error->reason);

            return '';
        }
    }
}
