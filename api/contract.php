<?php

declare(strict_types=1);

use Gimbo\Core\Added\Roles;
use Gimbo\Core\Exchange\SpecSchema;
use Gimbo\Core\Make\Makes;

/**
 * What of the contract is the program's own and never written by hand: its enums, and what a spec may say. Included, it returns
 * `api/openapi.json` and `docs/spec.schema.json` as they must be; run, it writes them (`make contract`).
 *
 * @return array{openapi: array<string, mixed>, spec: array<string, mixed>}
 */
require_once __DIR__.'/../vendor/autoload.php';

$enums = [
    'Assignment' => Gimbo\Core\Crease\Assignment::class,
    'Axis' => Gimbo\Core\Sheet\Axis::class,
    'CapacityKind' => Gimbo\Core\Settle\CapacityKind::class,
    'Deed' => Gimbo\Core\Steps\Deed::class,
    'Dimension' => Gimbo\Core\Fit\Dimension::class,
    'FaceRole' => Gimbo\Core\Crease\FaceRole::class,
    'HeldKind' => Gimbo\Core\Make\HeldKind::class,
    'JobState' => App\Models\JobState::class,
    'Lie' => Gimbo\Core\Sheet\Lie::class,
    'MeasureKind' => Gimbo\Core\Sheet\MeasureKind::class,
    'Redo' => Gimbo\Core\Settle\Redo::class,
    'Side' => Gimbo\Core\Crease\Side::class,
    'System' => Gimbo\Core\Measure\System::class,
    'TermKind' => Gimbo\Core\Fit\TermKind::class,
    'ToolKind' => Gimbo\Core\Tool\ToolKind::class,
    'Unit' => Gimbo\Core\Measure\Unit::class,
    'Verdict' => Gimbo\Core\Settle\Verdict::class,
    'Wish' => App\Cutting\Wish::class,
    'With' => Gimbo\Core\Steps\With::class,
];

$roles = Roles::all();
$makes = Makes::all();
/** @var array<string, mixed> $openapi */
$openapi = json_decode((string) file_get_contents(__DIR__.'/openapi.json'), true, 64, JSON_THROW_ON_ERROR);
$own = SpecSchema::definitions($makes->list(), $roles, '#/components/schemas/');
foreach ($enums as $name => $enum) {
    $own[$name] = ['type' => 'string', 'enum' => array_column($enum::cases(), 'value')];
}
$some = fn (array $names, array $required): array => [
    'type' => 'object', 'properties' => array_intersect_key($own['Spec']['properties'], array_flip($names)), 'additionalProperties' => false,
] + ($required === [] ? [] : ['required' => $required]);
$own['Usual'] = $some(['system', 'tools', 'paper', 'clearance'], []);
$own['UnmadeSpec'] = $some(['holds', 'system', 'tools', 'paper', 'clearance'], ['holds', 'system']);
$own['UnmadeSpec']['properties']['system'] = ['$ref' => '#/components/schemas/System'];
// What `bin/gimbo size` prints has no words for the browser, and its steps as docs/steps.schema.json has them.
$without = fn (array $schema, string ...$names): array => [
    'properties' => array_diff_key($schema['properties'], array_flip($names)), 'required' => array_values(array_diff($schema['required'], $names)),
] + $schema;
$own['MadePiece'] = $without($openapi['components']['schemas']['WholePiece'], 'name', 'contentsFace');
$answer = $without($openapi['components']['schemas']['WholeDesign'], 'steps');
$own['SizeAnswer'] = [
    'properties' => [
        'pieces' => ['type' => 'array', 'items' => ['$ref' => '#/components/schemas/MadePiece']],
        'steps' => ['type' => 'array'], 'joins' => ['type' => 'array'], 'loose' => ['type' => 'array'],
    ] + $answer['properties'],
    'required' => [...$answer['required'], 'steps', 'joins', 'loose'],
    'description' => 'What `bin/gimbo size` prints; its steps, joins and what is loose are as docs/steps.schema.json says',
] + $answer;
ksort($own);
foreach ($own as $name => $schema) {
    $openapi['components']['schemas'][$name] = $schema;
}
$contract = ['openapi' => $openapi, 'spec' => SpecSchema::document($makes->list(), $roles)];

if (realpath($argv[0] ?? '') === __FILE__) {
    $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;
    // An empty object is none of the lists that PHP takes it for.
    $text = fn (array $document): string => preg_replace('/"(to|properties|application\\/[a-z.+-]+|image\\/[a-z.+-]+|text\\/[a-z]+)": \[\]/', '"$1": {}', json_encode($document, $flags))."\n";
    file_put_contents(__DIR__.'/openapi.json', $text($contract['openapi']));
    file_put_contents(__DIR__.'/../docs/spec.schema.json', $text($contract['spec']));
}

return $contract;
