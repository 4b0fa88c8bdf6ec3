<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Spec;

use Gimbo\Core\Added\Roles;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Likely;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\Table;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What follows from a field's row, whatever the field. The expected values follow from the rows' meaning; no outside source. */
final class TableTest extends TestCase
{
    private const TRAY = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm', 'thickness' => '20 mm']];

    private const MAT = ['id' => 'm', 'role' => 'mat', 'on' => 'lid/base'];

    /** @return iterable<string, array{array<string, mixed>, string, mixed, mixed}> the entry, its field, what is typed, what stands there then */
    public static function typed(): iterable
    {
        yield 'a radius where none was' => [self::MAT, 'radius', '4', '4 mm'];
        yield 'a radius in the unit it is written in' => [self::MAT + ['radius' => '1/4 in'], 'radius', '1/2', '1/2 in'];
        yield 'a radius that is emptied' => [self::MAT + ['radius' => '4 mm'], 'radius', ' ', null];
        yield 'a border' => [self::MAT, 'border', '4', '4 mm'];
        yield 'a border of its own each way' => [self::MAT + ['border' => ['width' => '3 mm', 'height' => '5 mm']], 'border/height', '6', '6 mm'];
        yield 'a border that is emptied' => [self::MAT + ['border' => '4 mm'], 'border', '', null];
        yield 'how many labels' => [['id' => 'l', 'role' => 'label', 'text' => 'Tern'], 'count', '12', 12];
        yield 'a text of digits stays one' => [['id' => 'l', 'role' => 'label', 'text' => 'Tern'], 'text', '12', '12'];
        yield 'the margin of a backing' => [
            ['id' => 'w', 'role' => 'window', 'on' => 'lid/base', 'shape' => ['circle' => '30 mm'], 'backing' => ['paper' => 'film']], 'backing/margin', '8', '8 mm',
        ];
        yield 'across a window' => [['id' => 'w', 'role' => 'window', 'on' => 'lid/base', 'shape' => ['circle' => '30 mm']], 'shape/circle', '1 1/4"', '1 1/4 in'];
    }

    /** @param array<string, mixed> $entry */
    #[DataProvider('typed')]
    public function test_what_is_typed_is_read_as_the_row_says(array $entry, string $field, mixed $typed, mixed $expected): void
    {
        $spec = self::TRAY + ['papers' => ['film' => ['caliper' => '0.2 mm']], 'with' => [$entry]];
        $after = Sizing::ofEverything()->edited($spec, [Change::set("/with/0/$field", $typed)]);
        $here = ((array) $after['with'])[0];
        foreach (explode('/', $field) as $key) {
            $here = is_array($here) ? $here[$key] ?? null : null;
        }
        self::assertSame($expected, $here);
        Sizing::ofEverything()->size($after);
    }

    public function test_what_may_be_nothing_can_be_moved_down_to_nothing_and_the_rest_to_one_step(): void
    {
        $sizing = Sizing::ofEverything();
        $moved = fn (string $option): mixed => ((array) $sizing->edited(self::TRAY, [Change::nudge("/options/$option", -500)])['options'])[$option];
        self::assertSame('0 mm', $moved('lidPlay'));
        self::assertSame('1 mm', $moved('lidDepth'));
    }

    /** A mat's border is ordinarily half a millimetre to 60 mm: 4 in are asked about, 4 mm are not, and a usual one never is. */
    public function test_a_border_nobody_leaves_is_asked_about(): void
    {
        $sizing = Sizing::ofEverything();
        $likely = fn (array $entry): ?string => Likely::meant($sizing->fields($sizing->request(self::TRAY + ['with' => [$entry]]))['/with/0/border']);
        self::assertSame('4 mm', $likely(self::MAT + ['border' => '4 in']));
        self::assertNull($likely(self::MAT + ['border' => '4 mm']));
        self::assertNull($likely(self::MAT));
    }

    /** @return iterable<string, array{string, string}> a pointer, and where it is refused */
    public static function unknown(): iterable
    {
        yield 'no such part' => ['/shape/corner', '/shape/corner'];
        yield 'no pointer' => ['holds/width', 'holds/width'];
        yield 'beyond a field' => ['/holds/width/left/edge', '/holds/width/left/edge'];
        yield 'an entry that is not there' => ['/with/7/border/width/x', '/with/7/border/width/x'];
        yield 'a field of a known part' => ['/holds/depth', '/holds/depth'];
    }

    #[DataProvider('unknown')]
    public function test_a_pointer_to_no_field_is_refused_there(string $at, string $refused): void
    {
        $sizing = Sizing::ofEverything();
        try {
            $sizing->request($sizing->edited(self::TRAY, [Change::set($at, '4 mm')]));
            self::fail("$at was taken");
        } catch (InvalidDocument $error) {
            self::assertSame([$refused], array_map(fn (Problem $problem) => $problem->at, $error->problems));
        }
    }

    /** Every length of every make and role is moved or not, ordered or not, by a row that could be meant. */
    public function test_every_row_is_one(): void
    {
        $lengths = 0;
        foreach (Makes::all()->list() as $make) {
            $table = new Table(Makes::all()->ids(), $make, Roles::all());
            $all = [$table->root->rows(), ...array_map(fn ($entry) => $entry->rows(), array_values($table->entries))];
            foreach (array_merge(...array_map(array_values(...), $all)) as $row) {
                self::assertTrue($row->kind !== Kind::Choice || $row->choices !== [], $row->name);
                self::assertTrue($row->kind !== Kind::Count || $row->most >= $row->least, $row->name);
                self::assertTrue($row->ordinaryMm === null || $row->ordinaryMm[0] < $row->ordinaryMm[1], $row->name);
                self::assertTrue(! $row->isRequired || $row->usual === null, "$row->name is said or usual, not both");
                $lengths += (int) $row->kind->isLength();
            }
            $turns = array_filter(array_map(fn (Row $row) => $row->lessens, $make->options()));
            self::assertSame(array_unique($turns), $turns, $make->id());
        }
        self::assertGreaterThan(11 * 60, $lengths);
    }

    /** As JSON comes, `{}` and `[]` are one: what says nothing is left out, and says the same; a part that is there with nothing said of it stays. */
    public function test_an_object_in_which_nothing_is_said_is_left_out(): void
    {
        $spec = ['make' => 'folded-card', 'holds' => ['width' => '120 mm', 'height' => '160 mm', 'layers' => []], 'tools' => ['punch' => []], 'options' => []];
        $window = ['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '30 mm'], 'frame' => []];
        $read = fn (array $with): array => Sizing::ofEverything()->request(['with' => $with] + $spec)->spec;
        $mat = ['id' => 'm', 'role' => 'mat', 'on' => 'card/front'];
        self::assertSame([
            'with' => [$mat, $window], 'make' => 'folded-card', 'holds' => ['width' => '120 mm', 'height' => '160 mm'],
        ], $read([$mat + ['border' => []], $window]));
        $border = fn (array $mat): string => Sizing::ofEverything()->request(['with' => [$mat]] + $spec)->with[0]->border?->width->toMillimetres().' mm';
        self::assertSame($border($mat), $border($mat + ['border' => []]));
    }
}
