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
        'Measure' => ['Error'],
        'Geometry' => [],
        'Paper' => ['Measure'],
        'Tool' => ['Measure', 'Paper'],
        'Fit' => ['Measure'],
        'Crease' => ['Geometry'],
        'Setting' => ['Fit', 'Geometry', 'Measure', 'Paper', 'Tool'],
        'Document' => ['Error', 'Geometry', 'Measure'],
        'CutPlan' => ['Document', 'Error', 'Measure', 'Paper'],
        'Nest' => ['CutPlan', 'Geometry', 'Measure', 'Paper'],
        'Steps' => ['Crease', 'Geometry', 'Measure', 'Tool'],
        'With' => ['Crease', 'Document', 'Error', 'Geometry', 'Measure', 'Paper', 'Steps', 'Tool'],
        'Request' => ['Document', 'Error', 'Geometry', 'Measure', 'Paper', 'Tool', 'With'],
        'Outline' => ['Crease', 'Document', 'Error', 'Geometry', 'Measure'],
        'Library' => ['Document', 'Error', 'Measure', 'Paper', 'Tool'],
        'Sheet' => ['Error', 'Fit', 'Geometry', 'Measure', 'Paper', 'Setting', 'Tool'],
        'Extra' => ['Crease', 'Fit', 'Geometry', 'Measure', 'Request', 'Sheet'],
        'Figure' => ['Crease', 'Extra', 'Fit', 'Geometry', 'Measure', 'Paper', 'Request', 'Setting', 'Sheet', 'Tool', 'With'],
        'Make' => ['Crease', 'Extra', 'Figure', 'Fit', 'Geometry', 'Measure', 'Paper', 'Request', 'Setting', 'Sheet', 'Steps', 'Tool', 'With'],
        'Design' => ['Crease', 'Extra', 'Figure', 'Fit', 'Geometry', 'Make', 'Paper', 'Request', 'Setting', 'Steps'],
        'Work' => ['Crease', 'Design', 'Figure', 'Geometry', 'Measure', 'Paper', 'Sheet', 'Steps', 'Tool'],
        'Deviation' => ['Error', 'Figure', 'Fit', 'Measure', 'Request', 'Setting', 'Sheet'],
        '' => ['CutPlan', 'Design', 'Deviation', 'Error', 'Extra', 'Figure', 'Fit', 'Make', 'Measure', 'Paper', 'Request', 'Setting', 'Tool', 'With'],
        'Exchange' => ['', 'Crease', 'CutPlan', 'Design', 'Deviation', 'Document', 'Error', 'Figure', 'Fit', 'Geometry', 'Library', 'Measure', 'Paper', 'Request', 'Setting', 'Steps', 'Tool', 'Work'],
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
