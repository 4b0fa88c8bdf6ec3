<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\StepText;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Paper\CaliperText;

/** Changes single fields of a spec, named by JSON pointer. Whether the outcome is a spec is SpecReader's to say. */
final class SpecEditor
{
    /** The graduations belong to the system; the notch is the maker's own board's and stays. */
    private const STEPS_OF_SYSTEM = ['/tools/cut' => null, '/tools/score' => null, '/tools/punch' => null, '/tools/trimmer-score' => null, '/tools/name' => null];

    /** What is said of a tool besides its steps, so that its graduation stays what it was. */
    private const OF_TOOL = '~^/tools/([a-z-]+)/(reach|notch|reads)$~';

    /** Tools or a paper set otherwise than they were kept are no longer those of that name. */
    private const NAMED = ['/tools/name' => '~^/tools/~', '/paper/name' => '~^/paper/(caliper|grammage)$~'];

    /**
     * Applies what a maker did to a request.
     *
     * @param array<string, Field> $fields its lengths, as Fields gives them
     * @param list<Change> $changes
     * @return array<string, mixed> the new spec
     *
     * @throws InvalidDocument at the field a length typed there cannot be read
     */
    public static function apply(SizingRequest $request, Table $table, array $fields, array $changes): array
    {
        $spec = self::withoutStaleNames($request->spec, $changes);
        foreach ($changes as $change) {
            $role = Table::roleIn($spec, $change->at);
            $row = $table->row($change->at, $role);
            if ($row === null && ! $table->has((string) preg_replace('~/[^/]*$~', '', $change->at), $role)) {
                throw InvalidDocument::at(Reason::quote($change->at), Reason::of('field.unknown', ['text' => Reason::quote($change->at), 'known' => array_keys($fields)]));
            }
            if (is_string($change->to) && trim($change->to) === '' && $row?->mayBeEmpty === true) {
                $change = Change::set($change->at, null);
            }
            $field = $fields[$change->at] ?? null;
            if ($change->nudge !== null) {
                $to = ($field ?? throw InvalidDocument::at($change->at, Reason::of('field.no-steps')))->nudged($change->nudge);
                $spec = self::with($spec, [$change->at => $row?->kind === Kind::Step ? self::steps($spec, Change::set($change->at, $to), $field->unit) : $to]);

                continue;
            }
            $spec = self::otherwise($spec, $request, $table, $change);
            $unit = $field?->unitShown() ?? ($row?->kind === Kind::Caliper ? Unit::Millimetre : $request->system->unit());
            $to = $row?->kind === Kind::Step ? self::steps($spec, $change, $unit) : self::meant($change, $unit, $row);
            if (preg_match(self::OF_TOOL, $change->at, $of) === 1 && $table->row("/tools/$of[1]")?->kind === Kind::Step) {
                [$change, $to] = [Change::set("/tools/$of[1]", null), ToolFields::told((new FieldReader($spec))->get("/tools/$of[1]"), $of[2], $to)];
            }
            $spec = self::with($spec, [$change->at => $to]);
        }

        return $spec;
    }

    /**
     * What does not stay when the system or the make becomes another.
     *
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    private static function otherwise(array $spec, SizingRequest $request, Table $table, Change $change): array
    {
        if ($change->at === '/system' && $change->to !== $request->system->value) {
            return self::with($spec, self::STEPS_OF_SYSTEM);
        }
        if ($change->at !== '/make' || $change->to === $request->make) {
            return $spec;
        }
        // Its panels are others; what lies on none of them stays.
        $mayStay = fn (mixed $entry): bool => is_array($entry) && ! isset($entry['on']) && is_string($entry['role'] ?? null)
            && $table->added->find($entry['role'])?->needsPlace() === false;
        $with = array_values(array_filter(is_array($spec['with'] ?? null) ? $spec['with'] : [], $mayStay));

        // Another make has other options, and its own idea of room.
        return self::with($spec, ['/options' => null, '/clearance' => null, '/pieces' => null, '/with' => $with ?: null]);
    }

    /**
     * The beginning of a spec: what somebody typed about the thing in her hand.
     *
     * @param array<mixed> $holds
     * @param array<mixed> $shown what stood in each field before: a bare number is in its unit
     * @param ?System $system the one she chose; null for the one width and height are written in
     * @return array{holds: array<mixed>, system: string}
     *
     * @throws InvalidDocument at a length that is none
     */
    public static function begun(array $holds, array $shown, ?System $system, System $usual): array
    {
        $written = [];
        foreach (['width', 'height'] as $field) {
            $unit = self::unitIn($holds[$field] ?? null, self::unitIn($shown[$field] ?? null, null));
            $its = $unit === Unit::Inch ? System::Imperial : System::Metric;
            $unit === null || $written[$its->value] = $its;
        }
        $of = $system ?? (count($written) === 1 ? reset($written) : $usual);
        $spec = ['holds' => $holds, 'system' => $of->value];
        foreach (['width', 'height', 'thickness', 'count'] as $field) {
            if (is_string($holds[$field] ?? null)) {
                // A system that was chosen is the one a size is typed in; paper is as thick as it was written.
                $before = $system !== null && $field !== 'thickness' ? null : self::unitIn($shown[$field] ?? null, null);
                $spec['holds'][$field] = self::meant(Change::set("/holds/$field", $holds[$field]), $before ?? $of->unit(), $field === 'count' ? Row::count('count', 1, 0) : Row::length($field));
            }
        }

        return $spec;
    }

    private static function unitIn(mixed $text, ?Unit $bare): ?Unit
    {
        return is_string($text) ? LengthParser::unitIn($text, $bare) : null;
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, mixed> $edits value by pointer; null takes the field out
     * @return array<string, mixed>
     */
    public static function with(array $spec, array $edits): array
    {
        foreach ($edits as $at => $value) {
            $spec = self::set($spec, array_slice(explode('/', $at), 1), $value);
        }

        return $spec;
    }

    /**
     * @param array<string, mixed> $spec
     * @param list<Change> $changes
     * @return array<string, mixed>
     */
    private static function withoutStaleNames(array $spec, array $changes): array
    {
        $changed = array_map(fn (Change $change) => $change->at, $changes);
        foreach (self::NAMED as $name => $fields) {
            if (preg_grep($fields, $changed) !== [] && ! in_array($name, $changed, true)) {
                $spec = self::with($spec, [$name => null]);
            }
        }

        return $spec;
    }

    /**
     * What a tool can be set to, as it was typed: one step, or two with a comma between them. What else is said of the tool stays.
     *
     * @param array<string, mixed> $spec
     */
    private static function steps(array $spec, Change $change, Unit $unit): mixed
    {
        if ($change->to !== null && ! is_string($change->to)) {
            return $change->to;
        }
        $tool = (new FieldReader($spec))->get($change->at);
        $typed = $change->to === null ? [] : StepText::split($change->to);
        $scales = array_map(fn (string $one) => self::meant(Change::set($change->at, $one), $unit, Row::length('step')), $typed === [] && $change->to !== null ? [$change->to] : $typed);

        return ToolFields::rewritten($tool, array_values(array_filter($scales, is_string(...))));
    }

    /**
     * What was typed into a length field gets its unit and its plainest form; digits in a count become one.
     *
     * @param Unit $unit the one the field is read in: a bare number is in it
     */
    private static function meant(Change $change, Unit $unit, ?Row $row): mixed
    {
        $to = $change->to;
        if (! is_string($to)) {
            return $to;
        }
        if ($row?->kind === Kind::Count) {
            return preg_match('/^\s*\d{1,6}\s*$/', $to) === 1 ? (int) $to : $to;
        }
        if ($row === null || ! ($row->kind->isLength() || $row->kind === Kind::Border)) {
            return $to;
        }
        try {
            $written = $row->kind === Kind::Caliper ? CaliperText::read($to, $unit) : LengthParser::read($to, $unit);
        } catch (InvalidLength $error) {
            throw InvalidDocument::at($change->at, $error->reason);
        }

        // 1/7 in is no sum of sixty-fourths: it stays as it was typed.
        return $written->canonical() ?? trim($to).($written->unitIsWritten ? '' : ' '.$written->unit->value);
    }

    /**
     * @param array<mixed> $here
     * @param list<string> $path
     * @return array<string, mixed>
     */
    private static function set(array $here, array $path, mixed $value): array
    {
        $key = $path[0] === '-' ? (string) count($here) : $path[0];
        $isList = $here !== [] && array_is_list($here);
        if (count($path) > 1) {
            $inner = $here[$key] ?? [];
            $value = self::set(is_array($inner) ? $inner : [], array_slice($path, 1), $value);
            $value = $value === [] ? null : $value;
        }
        $here[$key] = $value;
        $here = array_filter($here, fn (mixed $kept) => $kept !== null);

        /** @var array<string, mixed> */
        return $isList ? array_values($here) : $here;
    }
}
