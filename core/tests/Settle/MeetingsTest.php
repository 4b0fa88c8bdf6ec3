<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Settle;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\SpecEditor;
use PHPUnit\Framework\TestCase;

/** Pieces of several designs are brought to one size only where every fit holds that held, as a sizing of each afterwards says. */
final class MeetingsTest extends TestCase
{
    public function test_what_meets_is_of_one_size_afterwards_and_every_fit_holds(): void
    {
        $specs = ['a' => self::envelope('5 1/2 in', '4 1/4 in'), 'b' => self::envelope('5 5/8 in', '4 1/4 in'), 'c' => self::envelope('5 9/16 in', '4 1/4 in'), 'far' => self::envelope('8 in', '6 in')];
        [$meeting] = $meetings = Sizing::ofEverything()->meetings($specs, fn () => 'white');

        self::assertCount(1, $meetings);
        self::assertSame(['a', 'b', 'c'], array_column($meeting->changes, 'design'));
        foreach ($meeting->changes as ['design' => $design, 'piece' => $piece, 'edits' => $edits]) {
            $before = Sizing::ofEverything()->size($specs[$design]);
            $after = Sizing::ofEverything()->size(SpecEditor::with($specs[$design], $edits));
            $sheet = $after->piece($piece)->figures->sheet ?? self::fail('It is gone.');
            self::assertTrue(Length::max($sheet->width, $sheet->height)->equals($meeting->size->width) && Length::min($sheet->width, $sheet->height)->equals($meeting->size->height), $design);
            self::assertSame([], array_diff(self::failing($after), self::failing($before)));
        }
    }

    /** An organizer whose sides would not meet with a sixteenth more room: the other one becomes smaller instead. */
    public function test_where_a_fit_would_fail_another_design_gives_way(): void
    {
        $spec = json_decode((string) file_get_contents(__DIR__.'/../Golden/forms-slope-two-sheets/spec.json'), true, 512, JSON_THROW_ON_ERROR);
        self::assertIsArray($spec);
        /** @var array<string, mixed> $spec */
        $sizing = Sizing::ofEverything();
        $room = $sizing->request($spec)->clearance->height;
        $step = $sizing->request($spec)->tools->cut->size;
        $specs = array_map(fn (int $n): array => SpecEditor::with($spec, ['/clearance/height' => LengthFormatter::for($sizing->request($spec)->system)->text($room->plus($step->times($n)))]), ['a' => 0, 'b' => 2]);
        self::assertNotSame([], self::failing($sizing->size(SpecEditor::with($spec, ['/clearance/height' => LengthFormatter::for($sizing->request($spec)->system)->text($room->plus($step))]))));
        $meetings = $sizing->meetings($specs, fn () => 'white');

        self::assertNotSame([], $meetings);
        foreach ($meetings[0]->changes as ['design' => $design, 'edits' => $edits]) {
            self::assertSame([], array_diff(self::failing($sizing->size(SpecEditor::with($specs[$design], $edits))), self::failing($sizing->size($specs[$design]))), $design);
        }
    }

    /** Of different papers, or too far apart, or alike already, nothing meets; nor where a fit would fail. */
    public function test_what_does_not_meet_is_not_offered(): void
    {
        $sizing = Sizing::ofEverything();
        $specs = ['a' => self::envelope('5 1/2 in', '4 1/4 in'), 'b' => self::envelope('5 5/8 in', '4 1/4 in')];
        self::assertSame([], $sizing->meetings($specs, fn (string $design) => $design));
        self::assertSame([], $sizing->meetings($specs, fn () => null));
        self::assertSame([], $sizing->meetings(['a' => $specs['a'], 'b' => $specs['a']], fn () => 'white'));
        self::assertSame([], $sizing->meetings(['a' => $specs['a'], 'b' => self::envelope('7 in', '5 in')], fn () => 'white'));
    }

    /** @return list<string> */
    private static function failing(Design $sized): array
    {
        return array_values(array_map(fn (Fit $fit) => $fit->id, array_filter($sized->fits, fn (Fit $fit) => ! $fit->isOk())));
    }

    /** @return array<string, mixed> */
    private static function envelope(string $width, string $height): array
    {
        return ['make' => 'diagonal-envelope', 'system' => 'imperial', 'holds' => ['width' => $width, 'height' => $height, 'thickness' => '1/16 in'], 'paper' => ['caliper' => '0.2 mm']];
    }
}
