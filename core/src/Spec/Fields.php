<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\StepText;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;

/** Every length of a request that a maker can change, by pointer. */
final readonly class Fields
{
    /**
     * @param array<string, Length> $chosen the lengths the make's options come to, by option
     * @return array<string, Field>
     */
    public static function of(SizingRequest $request, Table $table, array $chosen): array
    {
        $in = new FieldReader($request->spec);
        $isLayered = $in->get('/holds/layers') !== null && $in->get('/holds/thickness') === null;
        $options = array_combine(array_map(fn (string $option): string => "/options/$option", array_keys($chosen)), $chosen);
        $fields = [];
        foreach ($options + $request->lengths as $at => $value) {
            $row = $table->row($at, Table::roleIn($request->spec, $at));
            // Of options those count that the make goes by.
            if ($row?->moved === null || (str_starts_with($at, '/options/') && ! isset($options[$at]))) {
                continue;
            }
            $said = $in->get($at);
            $written = $row->kind === Kind::Step ? StepText::join(ToolFields::written($said)) ?: null : $said;
            $isMeasuredAsPaper = $row->kind === Kind::Caliper || $row->moved === Moved::Caliper || ($isLayered && $at === '/holds/thickness');
            $fields[$at] = new Field(
                $at, $value, $row->moved->step($request->tools, $request->system),
                $isMeasuredAsPaper ? Unit::Millimetre : self::unit($written, $request->system), $written !== null, $row->mayBeZero,
                is_string($written) ? $written : null, $row->ordinaryMm,
            );
        }

        return $fields;
    }

    /** Paper is always measured in millimetres; a maker who writes centimetres goes on reading them. */
    private static function unit(mixed $written, System $system): Unit
    {
        $unit = is_string($written) ? LengthParser::unitIn($written) : null;

        return $system === System::Metric && $unit === Unit::Centimetre ? $unit : $system->unit();
    }
}
