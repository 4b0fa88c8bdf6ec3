<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Spec;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SpecReaderTest extends TestCase
{
    private const GOOD = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in']];

    public function test_fills_in_what_is_not_said(): void
    {
        $request = Sizing::ofEverything()->request(self::GOOD);
        self::assertSame(System::Imperial, $request->system);
        self::assertSame(1, $request->item->count);
        self::assertTrue($request->item->thickness->equals(Length::mm(6, 10)));
        self::assertTrue($request->paper->caliper->equals(Length::mm(3, 10)));
        self::assertNull($request->paper->sheet);
        self::assertTrue($request->clearance->width->equals(Length::inches(1, 4)));
        self::assertTrue($request->clearance->height->equals(Length::inches(1, 8)));
        self::assertTrue($request->tools->notch->equals(Length::inches(44, 100)));
        self::assertSame('punch-board', $request->options->choice('method'));
        self::assertNull($request->options->length('seam'));
    }

    public function test_the_metric_system_has_its_own_usual_tools(): void
    {
        $tools = Sizing::ofEverything()->request(['system' => 'metric'] + self::GOOD)->tools;
        foreach ([$tools->cut, $tools->score, $tools->punch] as $step) {
            self::assertTrue($step->size->equals(Length::mm(1)));
        }
        self::assertTrue($tools->notch->equals(Length::mm(11)));
    }

    /** Caliper from weight at a bulk of 1.25: 120 g/m² is 0.15 mm. Common practice, no source. */
    public function test_a_weight_says_how_thick_the_paper_is_unless_that_is_said_too(): void
    {
        $sizing = Sizing::ofEverything();
        self::assertSame(0.15, $sizing->request(['paper' => ['grammage' => 120]] + self::GOOD)->paper->caliper->toMillimetres());
        self::assertSame(0.2, $sizing->request(['paper' => ['grammage' => 120, 'caliper' => '0.2 mm']] + self::GOOD)->paper->caliper->toMillimetres());
    }

    /** ISO 269 pairs an A6 card (105 × 148, ISO 216) with a C6 envelope (114 × 162): 9 and 14 mm more. */
    public function test_an_iso_card_gets_the_room_its_iso_envelope_gives(): void
    {
        $clearance = Sizing::ofEverything()->request(['make' => 'diagonal-envelope', 'holds' => ['width' => '105 mm', 'height' => '148 mm']])->clearance;
        self::assertSame([9.0, 14.0], [$clearance->width->toMillimetres(), $clearance->height->toMillimetres()]);
    }

    /** A stack never lies perfectly flat: a loft of 1.15. Common practice, no source. */
    public function test_several_cards_are_thicker_than_their_sum(): void
    {
        $item = Sizing::ofEverything()->request(['holds' => ['count' => 4, 'thickness' => '1 mm'] + self::GOOD['holds']] + self::GOOD)->item;
        self::assertSame(4.6, $item->stack()->toMillimetres());
    }

    /** @return iterable<string, array{mixed, string, string}> spec, pointer, reason */
    public static function broken(): iterable
    {
        $with = fn (string $field, mixed $value): array => [$field => $value] + self::GOOD;
        $holds = fn (array $some): array => ['holds' => $some + self::GOOD['holds']] + self::GOOD;
        yield 'no object' => ['text', '', 'document.not-an-object'];
        yield 'a list' => [[1, 2], '', 'document.not-an-object'];
        yield 'no make' => [['holds' => self::GOOD['holds']], '/make', 'field.missing'];
        yield 'a foreign make' => [$with('make', 'kite'), '/make', 'make.unknown'];
        yield 'a make that is no text' => [$with('make', 3), '/make', 'make.unknown'];
        yield 'nothing held' => [['make' => 'diagonal-envelope'], '/holds/width', 'length.missing'];
        yield 'a bare number' => [$holds(['width' => 5.5]), '/holds/width', 'length.unit-missing'];
        yield 'a length that is a list' => [$holds(['width' => []]), '/holds/width', 'length.not-text'];
        yield 'zero width' => [$holds(['width' => '0 in']), '/holds/width', 'length.not-positive'];
        yield 'too wide' => [$holds(['width' => '3000 mm']), '/holds/width', 'length.too-large'];
        yield 'negative clearance' => [$with('clearance', ['height' => '-1 mm']), '/clearance/height', 'length.negative'];
        yield 'no step' => [$with('tools', ['cut' => '0 mm']), '/tools/cut', 'length.not-positive'];
        yield 'no cards' => [$holds(['count' => 0]), '/holds/count', 'count.out-of-range'];
        yield 'too many cards' => [$holds(['count' => 1001]), '/holds/count', 'count.out-of-range'];
        yield 'half a card' => [$holds(['count' => 1.5]), '/holds/count', 'count.out-of-range'];
        yield 'a count as text' => [$holds(['count' => '2']), '/holds/count', 'count.out-of-range'];
        yield 'an unknown field' => [$with('colour', 'red'), '/colour', 'field.unknown'];
        yield 'an unknown field inside' => [$holds(['depth' => '1 mm']), '/holds/depth', 'field.unknown'];
        yield 'a field that is no object' => [$with('paper', 'thin'), '/paper', 'field.not-an-object'];
        yield 'an unknown option' => [$with('options', ['colour' => 'red']), '/options/colour', 'option.unknown'];
        yield 'an unknown choice' => [$with('options', ['method' => 'axe']), '/options/method', 'choice.unknown'];
        yield 'an unknown system' => [$with('system', 'cubits'), '/system', 'choice.unknown'];
        yield 'half a sheet' => [$with('paper', ['sheet' => ['width' => '12 in']]), '/paper/sheet/height', 'length.missing'];
        yield 'a pointer to escape' => [$with('a/b~c', 1), '/a~1b~0c', 'field.unknown'];
    }

    #[DataProvider('broken')]
    public function test_says_where_and_why_a_spec_is_none(mixed $spec, string $at, string $code): void
    {
        try {
            Sizing::ofEverything()->size($spec);
            self::fail('It was sized.');
        } catch (InvalidDocument $error) {
            $found = array_map(fn (Problem $problem) => [$problem->at, $problem->reason->code], $error->problems);
            self::assertContains([$at, $code], $found);
        }
    }

    public function test_play_may_be_nothing_but_a_depth_may_not(): void
    {
        $spec = fn (array $options): array => ['make' => 'tray-and-lid', 'holds' => self::GOOD['holds'], 'options' => $options];
        self::assertTrue(Sizing::ofEverything()->request($spec(['lidPlay' => '0 mm']))->options->length('lidPlay')?->isZero());
        $this->expectException(InvalidDocument::class);
        Sizing::ofEverything()->request($spec(['depth' => '0 mm']));
    }

    public function test_collects_every_problem_at_once(): void
    {
        try {
            Sizing::ofEverything()->size(['make' => 'kite', 'holds' => ['width' => 'wide', 'height' => 2], 'system' => 1]);
            self::fail('It was sized.');
        } catch (InvalidDocument $error) {
            $places = array_column($error->problems, 'at');
            sort($places);
            self::assertSame(['/holds/height', '/holds/width', '/make', '/system'], $places);
        }
    }
}
