<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

use Gimbo\Core\CutPlan\SheetYield;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\SpecEditor;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How often a piece comes out of a sheet: a sixteenth decides (arithmetic). */
final class YieldsTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string, bool, int}> piece, sheet, whether it may turn, how many */
    public static function known(): iterable
    {
        yield 'pouches of 6 in' => ['6 in', '6 in', '12 in', '12 in', true, 4];
        yield 'of 6 1/16' => ['6 1/16 in', '6 1/16 in', '12 in', '12 in', true, 1];
        yield 'lids of 148 mm out of A4' => ['148 mm', '148 mm', '210 mm', '297 mm', true, 2];
        yield 'of 150 mm' => ['150 mm', '150 mm', '210 mm', '297 mm', true, 1];
        yield 'two strips out of letter' => ['7 in', '4 1/4 in', '8 1/2 in', '11 in', true, 2];
        yield 'and none that may not turn' => ['4 in', '9 in', '11 in', '8 1/2 in', false, 0];
        yield 'cards out of 12 × 12' => ['12 in', '6 in', '12 in', '12 in', true, 2];
    }

    #[DataProvider('known')]
    public function test_known_yields(string $width, string $height, string $sheetWidth, string $sheetHeight, bool $mayTurn, int $count): void
    {
        $of = fn (string $w, string $h): Rectangle => new Rectangle(LengthParser::parse($w), LengthParser::parse($h));

        self::assertSame($count, SheetYield::of($of($width, $height), $of($sheetWidth, $sheetHeight), $mayTurn)->count);
    }

    public function test_what_is_left_is_one_part(): void
    {
        $left = SheetYield::of(new Rectangle(LengthParser::parse('5 1/2 in'), LengthParser::parse('11 in')), new Rectangle(LengthParser::parse('8 1/2 in'), LengthParser::parse('11 in')), true)->left;

        self::assertTrue($left?->width->equals(LengthParser::parse('3 in')));
        self::assertTrue($left->height->equals(LengthParser::parse('11 in')));
    }

    /** A hair less room gives more of them, where that was tried and every fit still holds. */
    public function test_what_nearly_comes_out_more_often_is_offered_and_holds(): void
    {
        $sizing = Sizing::ofEverything();
        $spec = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '106 mm', 'height' => '106 mm', 'thickness' => '18 mm'], 'paper' => ['caliper' => '0.3 mm']];
        $tray = $sizing->size($spec)->pieces[0];
        // A sheet two steps short of two trays side by side.
        $sheet = 2 * $tray->figures->sheet->width->toMillimetres() - 2;
        $spec['paper']['sheet'] = ['width' => "$sheet mm", 'height' => '200 mm'];
        [[$piece, , $yield, $more]] = $sizing->yields($spec)->all();

        self::assertSame(['tray', 1], [$piece->id, $yield->count]);
        self::assertNotNull($more);
        self::assertSame(2, $more[1]->count);
        $after = $sizing->size(SpecEditor::with($spec, $more[0]->edits));
        self::assertLessThanOrEqual($sheet / 2, $after->pieces[0]->figures->sheet->width->toMillimetres());
        self::assertSame([], array_filter($after->fits, fn ($fit) => ! $fit->isOk()));
    }
}
