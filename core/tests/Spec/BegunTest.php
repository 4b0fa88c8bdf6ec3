<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Spec;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\SpecEditor;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a maker types first about the thing in her hand: in which system it opens, and in which units bare numbers are. */
final class BegunTest extends TestCase
{
    private const SHOWN = ['width' => '5 3/4 in', 'height' => '4 3/8 in', 'thickness' => '4.5 mm', 'count' => '8'];

    /** @return iterable<string, array{array<string, string>, ?System, System, array<string, string|int>, System}> */
    public static function beginnings(): iterable
    {
        $inches = System::Imperial;
        $millimetres = System::Metric;
        yield 'as it stands' => [self::SHOWN, null, $inches, ['width' => '5 3/4 in', 'height' => '4 3/8 in', 'thickness' => '4.5 mm', 'count' => 8], $inches];
        yield 'typed in millimetres' => [['width' => '130 mm', 'height' => '18 cm'], null, $inches, ['width' => '130 mm', 'height' => '18 cm'], $millimetres];
        yield 'typed in inches where millimetres were usual' => [['width' => '5"', 'height' => '7"'], null, $millimetres, ['width' => '5 in', 'height' => '7 in'], $inches];
        yield 'one of each: as usual' => [['width' => '130 mm', 'height' => '7 in'], null, $inches, ['width' => '130 mm', 'height' => '7 in'], $inches];
        yield 'bare numbers are what stood there' => [['width' => '5', 'height' => '7', 'thickness' => '1.8'], null, $inches, ['width' => '5 in', 'height' => '7 in', 'thickness' => '1.8 mm'], $inches];
        yield 'millimetres chosen: a bare size is one' => [['width' => '130', 'height' => '180', 'thickness' => '2'], $millimetres, $inches, ['width' => '130 mm', 'height' => '180 mm', 'thickness' => '2 mm'], $millimetres];
        yield 'chosen against what is typed' => [['width' => '130 mm', 'height' => '180 mm'], $inches, $inches, ['width' => '130 mm', 'height' => '180 mm'], $inches];
    }

    /**
     * @param array<string, string> $typed
     * @param array<string, string|int> $holds
     */
    #[DataProvider('beginnings')]
    public function test_opens_in_the_system_it_is_typed_in(array $typed, ?System $chosen, System $usual, array $holds, System $system): void
    {
        self::assertSame(['holds' => $holds, 'system' => $system->value], SpecEditor::begun($typed, self::SHOWN, $chosen, $usual));
    }

    public function test_what_is_no_length_is_said_at_its_field(): void
    {
        $this->expectException(InvalidDocument::class);
        SpecEditor::begun(['width' => 'wide', 'height' => '4 in'], self::SHOWN, null, System::Imperial);
    }

    /** What everybody starts from can be made in both systems, and everything fits. */
    public function test_the_usual_ones_fit(): void
    {
        $sizing = Sizing::ofEverything();
        foreach (HeldKind::cases() as $kind) {
            foreach (System::cases() as $system) {
                foreach ($sizing->makes->list() as $make) {
                    if (! in_array($kind, $make->holds(), true)) {
                        continue;
                    }
                    foreach ($sizing->size(['make' => $make->id(), 'holds' => $kind->usual($system), 'system' => $system->value])->fits as $fit) {
                        self::assertTrue($fit->isOk(), "$kind->value $system->value {$make->id()} $fit->id");
                    }
                }
            }
        }
    }
}
