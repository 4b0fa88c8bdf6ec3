<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Spec;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SpecEditorTest extends TestCase
{
    private const SPEC = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '10.8 cm', 'count' => 1]];

    /** @return iterable<string, array{list<Change>, string, mixed}> changes, pointer, what stands there then */
    public static function changes(): iterable
    {
        yield 'a bare number gets the system’s unit' => [[Change::set('/holds/width', '4¼')], '/holds/width', '4 1/4 in'];
        yield 'another unit stays' => [[Change::set('/holds/width', '108mm')], '/holds/width', '108 mm'];
        yield 'a seventh stays as typed' => [[Change::set('/holds/width', ' 1/7 ')], '/holds/width', '1/7 in'];
        yield 'digits in a count become one' => [[Change::set('/holds/count', ' 6 ')], '/holds/count', 6];
        yield 'a default can be changed' => [[Change::set('/clearance/width', '3/8')], '/clearance/width', '3/8 in'];
        yield 'nothing takes a field out' => [[Change::set('/holds/count', null)], '/holds/count', null];
        yield 'one step of the trimmer up' => [[Change::nudge('/holds/width', 1)], '/holds/width', '5 9/16 in'];
        yield 'two steps down' => [[Change::nudge('/holds/width', -2)], '/holds/width', '5 3/8 in'];
        yield 'what is off the step comes onto it' => [[Change::nudge('/holds/height', 1)], '/holds/height', '4 5/16 in'];
        yield 'and down onto it' => [[Change::nudge('/holds/height', -1)], '/holds/height', '4 1/4 in'];
        yield 'never below a step' => [[Change::nudge('/holds/width', -1000)], '/holds/width', '1/16 in'];
        yield 'a clearance goes to nothing' => [[Change::nudge('/clearance/width', -1000)], '/clearance/width', '0 in'];
        yield 'a bare caliper is in millimetres, whatever the system' => [[Change::set('/paper/caliper', '0.2')], '/paper/caliper', '0.2 mm'];
        yield 'a caliper moves by hundredths of a millimetre' => [[Change::nudge('/paper/caliper', 3)], '/paper/caliper', '0.33 mm'];
    }

    /** @param list<Change> $changes */
    #[DataProvider('changes')]
    public function test_a_change_is_kept_as_the_spec_writes_it(array $changes, string $at, mixed $expected): void
    {
        $spec = Sizing::ofEverything()->edited(self::SPEC, $changes);
        $here = $spec;
        foreach (array_slice(explode('/', $at), 1) as $key) {
            $here = is_array($here) ? ($here[$key] ?? null) : null;
        }
        self::assertSame($expected, $here);
    }

    public function test_centimetres_stay_centimetres_when_moved(): void
    {
        $spec = Sizing::ofEverything()->edited(['system' => 'metric'] + self::SPEC, [Change::nudge('/holds/height', 1)]);
        self::assertSame(['width' => '5 1/2 in', 'height' => '10.9 cm', 'count' => 1], $spec['holds']);
    }

    public function test_changing_the_system_forgets_its_graduations_but_not_the_makers_own_notch(): void
    {
        $tools = ['cut' => '1/32 in', 'score' => '1/4 in', 'notch' => '0.43 in'];
        $spec = Sizing::ofEverything()->edited(['tools' => $tools] + self::SPEC, [Change::set('/system', 'metric')]);
        self::assertSame(['notch' => '0.43 in'], $spec['tools']);
        self::assertSame('metric', $spec['system']);
    }

    public function test_nothing_typed_is_the_usual_where_there_is_one(): void
    {
        $spec = Sizing::ofEverything()->edited(['clearance' => ['width' => '1/2 in']] + self::SPEC, [Change::set('/clearance/width', ' ')]);
        self::assertArrayNotHasKey('width', (array) ($spec['clearance'] ?? []));
    }

    /** @return iterable<string, array{Change, string, string}> */
    public static function refused(): iterable
    {
        yield 'no length' => [Change::set('/holds/width', 'wide'), '/holds/width', 'length.unreadable'];
        yield 'nothing typed' => [Change::set('/holds/width', ''), '/holds/width', 'length.empty'];
        yield 'no such field to move' => [Change::nudge('/holds/colour', 1), '/holds/colour', 'field.no-steps'];
        yield 'no pointer' => [Change::set('holds', 'x'), 'holds', 'field.unknown'];
        yield 'too deep' => [Change::set('/a/b/c/d', 'x'), '/a/b/c/d', 'field.unknown'];
    }

    #[DataProvider('refused')]
    public function test_says_at_the_field_why_a_change_is_none(Change $change, string $at, string $code): void
    {
        try {
            Sizing::ofEverything()->edited(self::SPEC, [$change]);
            self::fail('It was taken.');
        } catch (InvalidDocument $error) {
            self::assertSame([$at, $code], [$error->problems[0]->at, $error->problems[0]->reason->code]);
        }
    }

    public function test_every_length_of_a_request_is_a_field(): void
    {
        $sizing = Sizing::ofEverything();
        $fields = $sizing->fields($sizing->request(['paper' => ['sheet' => ['width' => '210 mm', 'height' => '297 mm']], 'options' => ['method' => 'score-board']] + self::SPEC));
        self::assertContains('/paper/sheet/height', array_keys($fields));
        self::assertSame('0.44 in', $fields['/options/seam']->text());
        self::assertFalse($fields['/options/seam']->isGiven);
        self::assertTrue($fields['/holds/width']->isGiven);
        self::assertSame('10.8 cm', $fields['/holds/height']->text());
    }
}
