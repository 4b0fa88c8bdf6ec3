<?php

declare(strict_types=1);

/*
 * Sizes the specs of a file with the core under a folder, and prints a line of JSON for each: its result part by part, its picture,
 * for every fifth what a step more or less and one missed figure do, and for every fourth its fields and what some edits make of it. `php results.php ROOT SPECS [LINE]`; with LINE only
 * that one, written out whole, else a short hash of each part. Reads the core of today and of the commit it is held against.
 */

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\AlternativesWriter;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;

[, $root, $specs] = $argv;
$only = isset($argv[3]) ? (int) $argv[3] : null;
require "$root/core/tests/bootstrap.php";

$sizing = Sizing::ofEverything();
$sort = function (mixed $part) use (&$sort): mixed {
    if (! is_array($part)) {
        return $part;
    }
    array_is_list($part) || ksort($part);

    return array_map($sort, $part);
};
$text = fn (mixed $part): string => json_encode($sort($part), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
$refused = fn (InvalidDocument $error): array => array_map(fn ($problem) => [$problem->at, $problem->reason], $error->problems);

/** Without what holds nothing: a spec says the same without it. */
function full(array $spec): array
{
    return array_filter(array_map(fn (mixed $value): mixed => is_array($value) ? full($value) : $value, $spec), fn (mixed $value): bool => $value !== []);
}

/**
 * Every field that can be changed, and what three changes make of the spec, or why they cannot be made.
 *
 * @param array<string, mixed> $spec
 */
function edits(Sizing $sizing, array $spec): array
{
    global $refused;
    $fields = $sizing->fields($sizing->request($spec));
    ksort($fields);
    $known = array_map(fn ($field) => [$field->text(), $field->isGiven, $field->unit->value], $fields);
    $change = class_exists('Gimbo\\Core\\Spec\\Change') ? 'Gimbo\\Core\\Spec\\Change' : 'Gimbo\\Core\\Request\\Change';
    mt_srand(crc32(json_encode($spec)));
    $after = [];
    foreach (range(1, 3) as $n) {
        $at = array_rand($fields);
        $to = ['5', ' 4 1/4 ', '4.5 cm', '1/7 in', 'x', '', null, '12 mm', '0', '3/8"'][mt_rand(0, 9)];
        $changes = [mt_rand(0, 2) === 0 ? $change::nudge($at, mt_rand(-3, 3)) : $change::set($at, $to)];
        mt_rand(0, 3) === 0 && $changes[] = $change::set(['/system', '/make', '/holds/count', '/tools/score', '/paper/colour'][$n], ['metric', 'note-wallet', '7', '1/8, 1 mm', '#aabbcc'][$n]);
        try {
            $after[] = [$at, $to, full($sizing->edited($spec, $changes))];
        } catch (InvalidDocument $error) {
            $after[] = [$at, $to, $refused($error)];
        }
    }

    return [$known, $after];
}
foreach (new SplFileObject($specs) as $line => $json) {
    if (! is_string($json) || trim($json) === '' || ($only !== null && $only !== $line)) {
        continue;
    }
    $spec = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
    $parts = [];
    try {
        $line % 4 === 0 && $parts['edits'] = edits($sizing, $spec);
        $design = $sizing->size($spec);
    } catch (InvalidDocument $error) {
        echo $text($only === null ? ['refused' => hash('xxh64', $text($refused($error)))] : ['refused' => $refused($error)]), "\n";

        continue;
    }
    $result = DesignWriter::write($design);
    $parts['work'] = [$result['steps'], $result['byTool']];
    unset($result['steps'], $result['byTool']);
    // What is glued to what apart; what has been added to results since is nothing that could differ.
    foreach ($result['pieces'] as &$piece) {
        $parts['glue'][] = [$piece['fold']['faces_gimbo:glue'], $piece['glue']];
        unset($piece['fold']['faces_gimbo:glue'], $piece['glue']);
        unset($piece['fold']['faces_gimbo:role'], $piece['fold']['faces_gimbo:twin'], $piece['fold']['gimbo:standing']);
    }
    unset($piece);
    $parts += ['result' => $result, 'picture' => StillWriter::write($design)];
    if ($line % 5 === 0) {
        $system = $design->request->system;
        $parts['neighbours'] = AlternativesWriter::write($sizing->alternatives($spec), $system);
        $chance = crc32($json);
        $piece = $design->pieces[$chance % count($design->pieces)];
        $measure = intdiv($chance, 7) % count($piece->measures);
        $at = $piece->measures[$measure]->at->plus(Length::mm(($chance % 11) - 5));
        try {
            $missed = $at->isPositive() ? $sizing->missed($spec, $piece->id, $measure, $at) : null;
        } catch (InvalidDocument) {
            $missed = null;
        }
        $parts['missed'] = $missed === null ? null : AlternativesWriter::missed($missed, $system);
    }
    echo $text($only === null ? array_map(fn (mixed $part) => hash('xxh64', $text($part)), $parts) : $parts), "\n";
}
