<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Closure;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\Unit;

/** What a spec says of one tool: its step alone, or an object with its step or its scales, and what else it is like. */
final class ToolFields
{
    public const MOST_SCALES = 2;

    /** What the tool can be set to; null where nothing is said of that. */
    public static function step(Reading $reading, string $tool): ?Step
    {
        [$in, $at] = [$reading->in, "/tools/$tool"];
        if (! is_array($in->get($at))) {
            return self::scale($in, $at);
        }
        $reading->only($at);
        $scales = $in->get("$at/scales");
        if ($scales === null) {
            return self::scale($in, "$at/step");
        }
        if (! is_array($scales) || ! array_is_list($scales) || $scales === [] || count($scales) > self::MOST_SCALES) {
            $in->problem("$at/scales", Reason::of('tool.scales', ['most' => self::MOST_SCALES]));

            return null;
        }
        $steps = array_filter(array_map(fn (int $i) => self::scale($in, "$at/scales/$i"), array_keys($scales)));

        return $steps === [] ? null : Step::either(...$steps);
    }

    /** How far it reaches; null where nothing is said of that. */
    public static function reach(Reading $in, string $tool): ?Length
    {
        return self::inside($in, $tool, fn (string $at) => $in->length("$at/reach"));
    }

    /**
     * @template T
     *
     * @param Closure(string): T $read what is said inside the tool's object, at its pointer
     * @return ?T null where there is none
     */
    public static function inside(Reading $in, string $tool, Closure $read): mixed
    {
        return is_array($in->in->get("/tools/$tool")) ? $read("/tools/$tool") : null;
    }

    /**
     * How a maker writes what a tool can be set to: `1/16 in`, or both of its scales, `1/16 in, 1 mm`.
     *
     * @return list<string> one text for each scale
     */
    public static function written(mixed $tool): array
    {
        $scales = is_array($tool) ? $tool['scales'] ?? [$tool['step'] ?? null] : [$tool];

        return array_values(array_filter(is_array($scales) ? $scales : [], is_string(...)));
    }

    /**
     * What a spec says of a tool after its steps were written anew: everything else about it stays.
     *
     * @param list<string> $scales none where it goes back to what is usual
     * @return string|array<mixed>|null
     */
    public static function rewritten(mixed $tool, array $scales): string|array|null
    {
        $rest = is_array($tool) ? array_diff_key($tool, ['step' => true, 'scales' => true]) : [];
        $said = match (count($scales)) {
            0 => [],
            1 => ['step' => $scales[0]],
            default => ['scales' => $scales],
        };
        if ($rest === [] && count($scales) <= 1) {
            return $scales[0] ?? null;
        }

        return $said + $rest;
    }

    /**
     * What a spec says of a tool after one thing about it besides its steps was said, or taken back.
     *
     * @return string|array<mixed>|null
     */
    public static function told(mixed $tool, string $what, mixed $value): string|array|null
    {
        $scales = self::written($tool);
        $rest = array_filter([$what => $value] + (is_array($tool) ? array_diff_key($tool, ['step' => true, 'scales' => true]) : []), fn (mixed $one) => $one !== null);
        if ($rest === []) {
            return self::rewritten(null, $scales);
        }

        return self::rewritten($rest, $scales);
    }

    private static function scale(FieldReader $in, string $at): ?Step
    {
        $size = $in->length($at);
        $text = $in->get($at);
        $unit = is_string($text) ? LengthParser::unitIn($text) : null;

        // A tool is marked in what its step is written in; centimetres are read in millimetres.
        return $size === null ? null : Step::of($size, $unit === Unit::Centimetre ? Unit::Millimetre : $unit);
    }
}
