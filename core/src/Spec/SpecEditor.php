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
    private const LENGTHS = '~^/(holds/(width|height|thickness)|holds/layers/(card|mat|decoration|envelope|liner)|clearance/(width|height|depth)|paper/caliper|paper/sheet/(width|height)|tools/(notch|reach)|tools/(cut|score|trimmer-score|punch|slant)/reach|papers/[A-Za-z0-9_-]{1,40}/(caliper|sheet/(width|height))|with/\d{1,2}/(border|border/(width|height)|width|height|overlap|bow|size|backing/margin|frame/width|rim/width|at/(left|bottom)|shape/(circle|radius|rect/[01]|oval/[01])))$~';

    /** Thicknesses of paper; what is raised on a card is none. */
    private const CALIPERS = '~^/(paper/caliper|papers/[A-Za-z0-9_-]{1,40}/caliper|holds/layers/(card|mat|envelope|liner))$~';

    /** What may be counted; an option that is a length is told apart by its field. */
    private const COUNTS = '~^/(wanted|holds/count|holds/layers/mats|paper/grammage|papers/[A-Za-z0-9_-]{1,40}/(grammage|sides)|with/\d{1,2}/count|options/[A-Za-z]{1,24})$~';

    /** A pointer deeper or longer than any field's is not one. */
    private const POINTER = '~^(/[A-Za-z-]{1,24}){1,3}$|^/(with|papers|pieces)(/[A-Za-z0-9_-]{1,40}){0,4}$~';

    /** The graduations belong to the system; the notch is the maker's own board's and stays. */
    private const STEPS_OF_SYSTEM = ['/tools/cut' => null, '/tools/score' => null, '/tools/punch' => null, '/tools/trimmer-score' => null, '/tools/name' => null];

    /** What a tool can be set to: on one scale, or on two. */
    private const STEPS = '~^/tools/(cut|score|trimmer-score|punch)$~';

    /** What else is said of a tool than its steps. */
    private const OF_TOOL = '~^/tools/(cut|score|trimmer-score|punch)/(reach|notch|reads)$~';

    /** What need not be said: nothing typed there means the usual. */
    private const HAS_USUAL = '~^/(clearance|tools|options)/|^/with/\d+/(border|width|height|overlap|bow|size|backing/margin|frame/width|rim/width)~';

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
    public static function apply(SizingRequest $request, array $fields, array $changes): array
    {
        $spec = self::withoutStaleNames($request->spec, $changes);
        $mayStay = array_column(array_filter(Role::cases(), fn (Role $role) => ! $role->needsPlace()), 'value');
        foreach ($changes as $change) {
            if (preg_match(self::POINTER, $change->at) !== 1) {
                throw InvalidDocument::at(Reason::quote($change->at), Reason::of('field.unknown', ['text' => Reason::quote($change->at), 'known' => array_keys($fields)]));
            }
            if (is_string($change->to) && trim($change->to) === '' && preg_match(self::HAS_USUAL, $change->at) === 1) {
                $change = Change::set($change->at, null);
            }
            if ($change->nudge !== null) {
                $field = $fields[$change->at] ?? throw InvalidDocument::at($change->at, Reason::of('field.no-steps'));
                $to = $field->nudged($change->nudge);
                $spec = self::with($spec, [$change->at => preg_match(self::STEPS, $change->at) === 1 ? self::steps($spec, Change::set($change->at, $to), $field->unit) : $to]);

                continue;
            }
            if ($change->at === '/system' && $change->to !== $request->system->value) {
                $spec = self::with($spec, self::STEPS_OF_SYSTEM);
            }
            if ($change->at === '/make' && $change->to !== $request->make) {
                // Another make has other options, and its own idea of room.
                $spec = self::with($spec, ['/options' => null, '/clearance' => null, '/pieces' => null]);
                // Its panels are others; what lies on none of them stays.
                $with = array_filter(is_array($spec['with'] ?? null) ? $spec['with'] : [], fn (mixed $entry) => is_array($entry) && in_array($entry['role'] ?? null, $mayStay, true) && ! isset($entry['on']));
                $spec = self::with($spec, ['/with' => array_values($with) ?: null]);
            }
            $unit = self::unitOf($fields[$change->at] ?? null, $request->system);
            $to = preg_match(self::STEPS, $change->at) === 1 ? self::steps($spec, $change, $unit) : self::meant($change, $unit, isset($fields[$change->at]));
            if (preg_match(self::OF_TOOL, $change->at, $of) === 1) {
                [$change, $to] = [Change::set("/tools/$of[1]", null), ToolFields::told((new FieldReader($spec))->get("/tools/$of[1]"), $of[2], $to)];
            }
            $spec = self::with($spec, [$change->at => $to]);
        }

        return $spec;
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
                $spec['holds'][$field] = self::meant(Change::set("/holds/$field", $holds[$field]), $before ?? $of->unit(), $field !== 'count');
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

    /** The unit that stands in the field already is the one a bare number is in; that of paper is millimetres whatever the system. */
    private static function unitOf(?Field $field, System $system): Unit
    {
        return $field?->unitShown() ?? $system->unit();
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
        $scales = array_map(fn (string $one) => self::meant(Change::set($change->at, $one), $unit, true), $typed === [] && $change->to !== null ? [$change->to] : $typed);

        return ToolFields::rewritten($tool, array_values(array_filter($scales, is_string(...))));
    }

    /**
     * What was typed into a length field gets its unit and its plainest form; digits in a count become one.
     *
     * @param Unit $unit the one the field is read in: a bare number is in it
     */
    private static function meant(Change $change, Unit $unit, bool $isLength): mixed
    {
        $to = $change->to;
        if (! is_string($to)) {
            return $to;
        }
        if (! $isLength && preg_match(self::COUNTS, $change->at) === 1) {
            return preg_match('/^\s*\d{1,6}\s*$/', $to) === 1 ? (int) $to : $to;
        }
        if (! $isLength && preg_match(self::LENGTHS, $change->at) !== 1) {
            return $to;
        }
        try {
            $written = preg_match(self::CALIPERS, $change->at) === 1 ? CaliperText::read($to, $unit) : LengthParser::read($to, $unit);
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
