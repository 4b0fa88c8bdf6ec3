<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Who may know whom: docs/adr/0011. Read by phpat inside PHPStan; an arrow that nobody allowed fails it. */
final class Layers
{
    /**
     * Every folder of the core, from the lowest up, and the folders it may use: only ones that stand above it in this list.
     * LayersTest asserts that none is missing, and that the arrows go one way.
     */
    public const MAY_USE = [
        'Error' => [],
        'Geometry' => [],
        'Crease' => ['Geometry'],
        'Measure' => ['Error'],
        'Document' => ['Error', 'Geometry', 'Measure'],
        'Fit' => ['Measure'],
        'Paper' => ['Measure'],
        'CutPlan' => ['Document', 'Error', 'Geometry', 'Measure', 'Paper'],
        'Outline' => ['Crease', 'Document', 'Error', 'Geometry', 'Measure'],
        'Tool' => ['Measure', 'Paper'],
        'Library' => ['Document', 'Error', 'Measure', 'Paper', 'Tool'],
        'Sheet' => ['Error', 'Fit', 'Geometry', 'Measure', 'Paper', 'Tool'],
        'Steps' => ['Crease', 'Geometry', 'Measure', 'Tool'],
        'Spec' => ['Crease', 'Document', 'Error', 'Fit', 'Geometry', 'Measure', 'Paper', 'Steps', 'Tool'],
        'Settle' => ['Crease', 'CutPlan', 'Error', 'Fit', 'Geometry', 'Measure', 'Paper', 'Sheet', 'Spec', 'Steps', 'Tool'],
        'Make' => ['Crease', 'Fit', 'Geometry', 'Measure', 'Paper', 'Settle', 'Sheet', 'Spec', 'Steps', 'Tool'],
        'Added' => ['Crease', 'Fit', 'Geometry', 'Make', 'Measure', 'Paper', 'Settle', 'Sheet', 'Spec', 'Steps', 'Tool'],
        'Design' => ['Added', 'Crease', 'Fit', 'Geometry', 'Make', 'Paper', 'Settle', 'Sheet', 'Spec', 'Steps'],
        '' => ['Added', 'Design', 'Error', 'Fit', 'Make', 'Measure', 'Settle', 'Sheet', 'Spec', 'Tool'],
        'Telling' => ['Crease', 'Design', 'Geometry', 'Measure', 'Paper', 'Settle', 'Sheet', 'Steps', 'Tool'],
        'Exchange' => [
            '', 'Crease', 'CutPlan', 'Design', 'Document', 'Error', 'Fit', 'Geometry', 'Library', 'Measure', 'Paper', 'Settle', 'Sheet', 'Spec',
            'Steps', 'Telling', 'Tool',
        ],
    ];

    /** Every folder of the application, in the same way: docs/adr/0018. */
    public const OF_THE_APPLICATION = [
        'Database' => [],
        'Models' => [],
        'Words' => [],
        'Cutting' => ['Models'],
        'Providers' => ['Database', 'Words'],
        'Shelf' => ['Models'],
        'CutPlan' => ['Models', 'Shelf', 'Words'],
        'Screen' => ['Models', 'Shelf', 'Words'],
        'Store' => ['Database', 'Models', 'Shelf'],
        'HandOn' => ['CutPlan', 'Models', 'Screen', 'Shelf', 'Words'],
        'Http' => ['CutPlan', 'Cutting', 'Database', 'HandOn', 'Models', 'Screen', 'Shelf', 'Store', 'Words'],
        'Console' => ['Cutting', 'Http', 'Models', 'Store', 'Words'],
    ];

    /** The namespace of any one make: a folder of core/src/Make other than what they share. */
    private const A_MAKE = '/^Gimbo\\\\Core\\\\Make\\\\(?!Shared)[A-Z]\w+$/';

    /** @return iterable<Rule> */
    public function test_a_folder_of_the_core_uses_only_what_it_may(): iterable
    {
        foreach (self::MAY_USE as $folder => $others) {
            yield PHPat::rule()
                ->classes(self::folder($folder))
                ->canOnly()->dependOn()
                ->classes(self::folder($folder), self::ofPhpItself(), ...array_map(self::folder(...), $others))
                ->because("$folder may use ".($others === [] ? 'nothing' : implode(', ', $others)).' and itself');
        }
    }

    /** @return iterable<Rule> */
    public function test_a_folder_of_the_application_uses_only_what_it_may(): iterable
    {
        foreach (self::OF_THE_APPLICATION as $folder => $others) {
            $barred = array_diff(array_keys(self::OF_THE_APPLICATION), [$folder, ...$others]);
            yield PHPat::rule()
                ->classes(Selector::inNamespace("App\\$folder"))
                ->shouldNot()->dependOn()
                ->classes(...array_map(fn (string $other) => Selector::inNamespace("App\\$other"), array_values($barred)))
                ->because("$folder may use ".($others === [] ? 'no other' : implode(', ', $others)));
        }
    }

    public function test_only_the_register_names_a_make(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core'), Selector::inNamespace('App'))
            ->excluding(Selector::classname('Gimbo\Core\Make\Makes'), Selector::inNamespace(self::A_MAKE, true))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace(self::A_MAKE, true));
    }

    public function test_what_makes_share_names_none_of_them(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core\Make\Shared'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace(self::A_MAKE, true), Selector::classname('Gimbo\Core\Make\Makes'));
    }

    /** @return iterable<Rule> */
    public function test_no_make_names_another(): iterable
    {
        foreach (glob(__DIR__.'/../../core/src/Make/*', GLOB_ONLYDIR) ?: [] as $folder) {
            $name = basename($folder);
            if ($name !== 'Shared') {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace("Gimbo\\Core\\Make\\$name"))
                    ->shouldNot()->dependOn()
                    ->classes(Selector::inNamespace('/^Gimbo\\\\Core\\\\Make\\\\(?!Shared$|'.$name.'$)[A-Z]\w+$/', true));
            }
        }
    }

    private static function folder(string $name): SelectorInterface
    {
        // What lies in no folder is the entry itself.
        return $name === '' ? Selector::classname('/^Gimbo\\\\Core\\\\\w+$/', true) : Selector::inNamespace("Gimbo\\Core\\$name");
    }

    /** Classes in no namespace: PHP's own and its extensions'. */
    private static function ofPhpItself(): SelectorInterface
    {
        return Selector::classname('/^\w+$/', true);
    }
}
