<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests;

use FilesystemIterator;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use PhpToken;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionClass;
use ReflectionFunction;
use SplFileInfo;

/** That the core stands by itself: what is not its own, PHP's or a declared extension's is not found beside it, and not used. */
final class CoreAloneTest extends TestCase
{
    private const SRC = __DIR__.'/../src';

    public function test_no_class_of_the_application_or_the_framework_can_be_loaded_here(): void
    {
        foreach (['Illuminate\Foundation\Application', 'Illuminate\Support\Str', 'Symfony\Component\HttpFoundation\Request', 'App\Shelf\Drafting', 'Dompdf\Dompdf', 'Carbon\Carbon'] as $class) {
            self::assertFalse(class_exists($class), $class);
        }
        self::assertFalse(function_exists('collect'));
    }

    /** Every function and class of the source belongs to the core, to PHP's own extensions, or to one that composer.json declares. */
    public function test_every_extension_that_is_used_is_declared(): void
    {
        $alwaysThere = ['Core', 'standard', 'SPL', 'pcre', 'date', 'Reflection', 'random', 'hash'];
        $document = json_decode((string) file_get_contents(__DIR__.'/../composer.json'), true, 8, JSON_THROW_ON_ERROR);
        self::assertIsArray($document);
        self::assertIsArray($document['require']);
        $declared = array_map(fn (string $name) => substr($name, 4), array_values(array_filter(array_map(strval(...), array_keys($document['require'])), fn (string $name) => str_starts_with($name, 'ext-'))));
        $used = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(self::SRC, FilesystemIterator::SKIP_DOTS)) as $file) {
            self::assertInstanceOf(SplFileInfo::class, $file);
            foreach (self::names((string) file_get_contents($file->getPathname())) as $name) {
                $extension = match (true) {
                    function_exists($name) => (new ReflectionFunction($name))->getExtensionName(),
                    class_exists($name) || interface_exists($name) => (new ReflectionClass($name))->getExtensionName(),
                    default => false,
                };
                $extension === false || $used[strtolower($extension)] = "$name in {$file->getBasename()}";
            }
        }
        self::assertSame([], array_diff_key($used, array_flip(array_map(strtolower(...), [...$alwaysThere, ...$declared]))));
        self::assertSame([], array_diff($declared, array_keys($used)), 'declared, and not used');
    }

    /** A process of its own: what is settled loads no class of creases, and no step. */
    public function test_settling_loads_no_class_of_creases(): void
    {
        $code = 'require '.var_export(__DIR__.'/../vendor/autoload.php', true).';'
            .'$sizing = Gimbo\Core\Sizing::ofEverything();'
            .'foreach ($sizing->makes->ids() as $make) {'
            .'  $request = $sizing->request(["make" => $make, "holds" => ["width" => "105 mm", "height" => "74 mm", "thickness" => "6 mm"], "paper" => ["sheet" => ["width" => "50 mm", "height" => "50 mm"]], "system" => "metric"]);'
            .'  $plan = $sizing->plan($request); $sizing->settle($plan);'
            .'  $first = array_values($plan->settings->all)[0]; $sizing->settle($plan->with($first->piece, $first->name, $first->at->plus($first->scale->size)));'
            .'  $sizing->alternatives($request->spec);'
            .'}'
            .'echo implode("\n", array_filter(get_declared_classes(), fn ($class) => preg_match("/^Gimbo.Core.(Crease|Steps|Design|Work|Extra|Exchange)./", $class) === 1));';
        exec(escapeshellarg(PHP_BINARY).' -r '.escapeshellarg($code).' 2>&1', $lines, $status);
        self::assertSame([0, []], [$status, $lines]);
    }

    public function test_every_make_is_sized_with_nothing_but_the_core(): void
    {
        foreach (Makes::all()->ids() as $make) {
            self::assertNotSame([], Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '105 mm', 'height' => '74 mm']])->steps());
        }
    }

    /** @return list<string> names in the code that may be functions or classes in no namespace, or imported ones */
    private static function names(string $code): array
    {
        $names = [];
        foreach (PhpToken::tokenize($code) as $token) {
            if ($token->is([T_STRING, T_NAME_FULLY_QUALIFIED, T_NAME_QUALIFIED])) {
                $names[] = ltrim($token->text, '\\');
            }
        }

        return array_values(array_unique($names));
    }
}
