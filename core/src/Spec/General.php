<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\Limit;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Tool\Tools;

/** What every spec may say, whatever it is of: the rows of the table besides those of makes and of what goes with them. */
final class General
{
    public const MOST_PAPERS = 20;

    public const MOST_ADDED = 60;

    private const MOST_WANTED = 1000;

    private const MOST_ITEMS = 1000;

    private const MOST_MATS = 100;

    private const HEAVIEST_PAPER = 2000;

    /** Punches or dies of one kind. */
    private const MOST_PUNCHES = 40;

    /** Of a paper's or a set of tools' name, which sizes nothing. */
    private const LONGEST_NAME = 60;

    /**
     * @param list<string> $makes
     * @return list<Row>
     */
    public static function rows(array $makes): array
    {
        return [
            Row::choice('make', $makes === [] ? ['none'] : $makes)->required(),
            ...self::holds(),
            Row::lengthOrZero('clearance/width')->emptied()->ordinary(0, 50),
            Row::lengthOrZero('clearance/height')->emptied()->ordinary(0, 50),
            Row::lengthOrZero('clearance/depth')->emptied()->ordinary(0, 50)->moved(Moved::Thin),
            ...self::paper('paper'),
            Row::of('papers', Kind::Inner, self::MOST_PAPERS)->since(3),
            ...array_map(fn (Row $row) => $row->since(3), self::paper('papers/*')),
            Row::of('pieces', Kind::Inner)->since(3),
            Row::of('pieces/*/paper', Kind::PaperId)->since(3),
            Row::choice('system', array_column(System::cases(), 'value')),
            ...self::tools(),
            Row::of('options', Kind::Inner),
            Row::of('with', Kind::Entries, self::MOST_ADDED)->since(3),
            Row::count('wanted', 1, self::MOST_WANTED)->since(3),
        ];
    }

    /** @return list<Row> */
    private static function holds(): array
    {
        return [
            Row::length('holds/width')->required()->ordinary(15, 610),
            Row::length('holds/height')->required()->ordinary(15, 610),
            Row::length('holds/thickness')->moved(Moved::Thin)->ordinary(0.05, 38.1),
            Row::count('holds/count', 1, self::MOST_ITEMS),
            Row::caliper('holds/layers/card')->since(2),
            Row::count('holds/layers/mats', 0, self::MOST_MATS)->since(2),
            Row::caliper('holds/layers/mat')->since(2),
            // What is raised is no paper, but it is measured as paper is.
            Row::lengthOrZero('holds/layers/decoration')->moved(Moved::Caliper)->since(2),
            Row::caliper('holds/layers/envelope')->since(2),
            Row::caliper('holds/layers/liner')->since(2),
            Row::of('holds/outline', Kind::Ring, Limit::OUTLINE_POINTS)->since(2),
        ];
    }

    /** @return list<Row> */
    private static function paper(string $at): array
    {
        return array_map(fn (Row $row) => $row->under($at), [
            Row::caliper('caliper'),
            Row::count('grammage', 1, self::HEAVIEST_PAPER),
            Row::length('sheet/width')->required()->ordinary(50, 1189),
            Row::length('sheet/height')->required()->ordinary(50, 1189),
            Row::of('name', Kind::Name, self::LONGEST_NAME),
            Row::of('colour', Kind::Colour),
            Row::choice('direction', ['none', 'up'])->since(3),
            Row::count('sides', 1, 2)->since(3),
            Row::choice('grain', ['none', 'long', 'short'])->since(3),
        ]);
    }

    /** @return list<Row> */
    private static function tools(): array
    {
        $step = fn (string $tool): array => [
            Row::of($tool, Kind::Step)->moved(Moved::Fine),
            Row::length("$tool/step")->moved(null),
            Row::of("$tool/scales", Kind::Lengths, ToolFields::MOST_SCALES),
            Row::length("$tool/reach"),
        ];
        $side = fn (string $name): Row => Row::length($name)->required()->moved(null);
        $pair = fn (string $name): array => [Row::of($name, Kind::Pair), $side("$name/0"), $side("$name/1")];
        $punches = array_map(fn (Row $row) => $row->under('punches')->since(3), [
            Row::of('circles', Kind::Lengths, self::MOST_PUNCHES),
            Row::length('circleReach')->moved(null),
            Row::of('corners', Kind::Lengths, self::MOST_PUNCHES),
            ...$pair('tab'),
            Row::length('repeat')->moved(null),
            Row::length('holeReach')->moved(null),
            Row::of('dies', Kind::Entries, self::MOST_PUNCHES),
            ...$pair('dies/*/rect'),
            ...$pair('dies/*/oval'),
            ...$pair('plate'),
            Row::of('tapes', Kind::Lengths, self::MOST_PUNCHES),
        ]);

        return array_map(fn (Row $row) => $row->under('tools')->emptied(), [
            ...$step('cut'), ...$step('score'), ...$step('trimmer-score'), ...$step('punch'),
            Row::length('punch/notch')->moved(null),
            Row::choice('punch/reads', ['both', 'left']),
            Row::length('slant/reach'),
            Row::length('notch')->moved(Moved::Fine),
            Row::length('reach'),
            Row::choice('readings', [Tools::READ_ON, Tools::EACH_EDGE]),
            Row::of('name', Kind::Name, self::LONGEST_NAME),
            ...$punches,
        ]);
    }
}
