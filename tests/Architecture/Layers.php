<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Who may know whom. Read by phpat inside PHPStan. */
final class Layers
{
    /** The namespace of any one make: a folder of core/src/Make other than what they share. */
    private const A_MAKE = '/^Gimbo\\\\Core\\\\Make\\\\(?!Shared)[A-Z]\w+$/';

    public function test_the_core_knows_nothing_of_the_application(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Symfony'))
            ->because('the rules of the job must run and be tested without an interface');
    }

    public function test_measures_know_only_errors(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core\Measure'))
            ->canOnly()->dependOn()
            ->classes(Selector::inNamespace('Gimbo\Core\Measure'), Selector::inNamespace('Gimbo\Core\Error'), Selector::classname('/^(LogicException|RuntimeException|Throwable|BackedEnum|UnitEnum)$/', true));
    }

    public function test_geometry_knows_nothing_else(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core\Geometry'))
            ->shouldNot()->dependOn()
            ->classes(...self::core('Crease', 'Sheet', 'Make', 'Design', 'Exchange', 'Request', 'Fit'));
    }

    public function test_creases_know_geometry_only(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core\Crease'))
            ->shouldNot()->dependOn()
            ->classes(...self::core('Sheet', 'Make', 'Design', 'Exchange', 'Request', 'Fit'));
    }

    public function test_sheets_do_not_know_what_is_made_of_them(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core\Sheet'))
            ->shouldNot()->dependOn()
            ->classes(...self::core('Make', 'Exchange', 'Request'));
    }

    public function test_makes_do_not_know_how_they_are_handed_on(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core\Make'))
            ->shouldNot()->dependOn()
            ->classes(...self::core('Exchange'));
    }

    public function test_only_the_register_names_a_make(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Gimbo\Core'), Selector::inNamespace('App'))
            ->excluding(Selector::classname('Gimbo\Core\Make\Makes'), Selector::inNamespace(self::A_MAKE, true), Selector::inNamespace('Gimbo\Core\Tests'))
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

    /** @return list<\PHPat\Selector\SelectorInterface> */
    private static function core(string ...$folders): array
    {
        return array_values(array_map(fn (string $folder) => Selector::inNamespace("Gimbo\\Core\\$folder"), $folders));
    }
}
