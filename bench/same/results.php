<?php

declare(strict_types=1);

/*
 * Sizes the specs of a file with the core under a folder, and prints a line of JSON for each: its result part by part, its picture,
 * and for every fifth what a step more or less and one missed figure do. `php results.php ROOT SPECS [LINE]`; with LINE only
 * that one, written out whole, else a short hash of each part. Reads the core of today and of the commit it is held against.
 */

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\AlternativesWriter;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Sizing;

[, $root, $specs] = $argv;
$only = isset($argv[3]) ? (int) $argv[3] : null;
require "$root/core/tests/bootstrap.php";

$sizing = Sizing::ofEverything();
foreach (new SplFileObject($specs) as $line => $json) {
    if (! is_string($json) || trim($json) === '' || ($only !== null && $only !== $line)) {
        continue;
    }
    $spec = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
    $design = $sizing->size($spec);
    $result = DesignWriter::write($design);
    $parts = ['work' => [$result['steps'], $result['byTool']]];
    unset($result['steps'], $result['byTool']);
    // What is glued to what, and the mats, apart; what has been added to results since is nothing that could differ.
    foreach ($result['pieces'] as &$piece) {
        $parts['glue'][] = [$piece['fold']['faces_gimbo:glue'], $piece['glue']];
        $parts['mats'][] = $piece['mats'];
        unset($piece['fold']['faces_gimbo:glue'], $piece['glue'], $piece['mats']);
        unset($piece['fold']['faces_gimbo:role'], $piece['fold']['faces_gimbo:twin'], $piece['fold']['gimbo:standing']);
    }
    unset($piece);
    $parts += ['result' => $result, 'picture' => StillWriter::write($design)];
    if ($line % 5 === 0) {
        $system = System::from($spec['system']);
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
    $sort = function (mixed $part) use (&$sort): mixed {
        if (! is_array($part)) {
            return $part;
        }
        array_is_list($part) || ksort($part);

        return array_map($sort, $part);
    };
    $text = fn (mixed $part): string => json_encode($sort($part), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    echo $text($only === null ? array_map(fn (mixed $part) => hash('xxh64', $text($part)), $parts) : $parts), "\n";
}
