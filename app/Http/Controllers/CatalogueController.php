<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\NamedSize;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Row;
use Illuminate\Http\JsonResponse;

/** What can be made and which sizes have names. */
final class CatalogueController
{
    public function __invoke(Sizing $sizing): JsonResponse
    {
        return new JsonResponse([
            'makes' => array_map(fn (Make $make) => [
                'id' => $make->id(),
                'holds' => array_column($make->holds(), 'value'),
                'options' => array_map(fn (Row $option) => [
                    'id' => $option->name, 'kind' => $option->kind->value, 'choices' => $option->choices, 'least' => $option->least, 'most' => $option->most,
                    'thickerThan' => $option->thickerThan?->toMillimetres(), 'when' => $option->when === null ? null : ['options' => $option->when[0], 'choice' => $option->when[1]],
                ], $make->options()),
            ], $sizing->makes->list()),
            'held' => array_map(fn (HeldKind $kind) => [
                'id' => $kind->value, 'usual' => ['imperial' => $kind->usual(System::Imperial), 'metric' => $kind->usual(System::Metric)],
                'picture' => self::picture($sizing, $kind),
            ], HeldKind::cases()),
            'sizes' => array_map(self::size(...), NamedSize::all()),
        ]);
    }

    /**
     * What is held by itself; a card that is still to be made as the first thing that makes one.
     *
     * @return array<string, mixed>
     */
    private static function picture(Sizing $sizing, HeldKind $kind): array
    {
        $makes = array_values(array_filter($sizing->makes->list(), fn (Make $make) => in_array($kind, $make->holds(), true)));
        $spec = ['make' => $makes[0]->id(), 'holds' => $kind->usual(System::Imperial)];

        return $kind === HeldKind::CardToMake ? StillWriter::write($sizing->size($spec)) : StillWriter::held($sizing->request($spec)->item);
    }

    /** @return array<string, mixed> */
    private static function size(NamedSize $size): array
    {
        $words = LengthFormatter::for($size->isMetric() ? System::Metric : System::Imperial);

        return [
            'id' => $size->id, 'kind' => $size->kind, 'source' => $size->source,
            'width' => $words->text($size->size->width), 'height' => $words->text($size->size->height),
        ];
    }
}
