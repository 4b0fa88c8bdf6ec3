<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Settle;

use Gimbo\Core\Settle\MeasureRow;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\TestCase;

final class MeasureRowTest extends TestCase
{
    private const CARD = ['holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm']];

    public function test_one_setting_is_shown_once_however_often_it_is_used(): void
    {
        $rows = $this->rows(['make' => 'diagonal-envelope'] + self::CARD);
        self::assertSame(['cut.square' => [0, 1], 'punch.edge' => [2, 3, 4, 5]], $rows);
    }

    public function test_different_settings_are_kept_apart(): void
    {
        $rows = $this->rows(['make' => 'diagonal-envelope', 'options' => ['method' => 'score-board']] + self::CARD);
        self::assertSame(['cut.square', 'score.diagonal.left-flap', 'score.diagonal.right-flap', 'score.cross-diagonal'], array_slice(array_keys($rows), 0, 4), 'halves that are not alike');
    }

    public function test_every_measure_stands_in_one_row(): void
    {
        $piece = Sizing::ofEverything()->size(['make' => 'tray-and-lid'] + self::CARD)->pieces[0];
        $shown = array_merge([], ...array_map(fn (MeasureRow $row) => $row->measures, MeasureRow::of($piece->figures)));
        self::assertEqualsCanonicalizing(array_keys($piece->measures), $shown);
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, list<int>>
     */
    private function rows(array $spec): array
    {
        $rows = MeasureRow::of(Sizing::ofEverything()->size($spec)->pieces[0]->figures);

        return array_combine(array_map(fn (MeasureRow $row) => $row->what, $rows), array_map(fn (MeasureRow $row) => $row->measures, $rows));
    }
}
