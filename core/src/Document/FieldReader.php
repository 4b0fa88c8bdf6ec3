<?php

declare(strict_types=1);

namespace Gimbo\Core\Document;

use Closure;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;

/**
 * Reads fields of a JSON document by pointer and collects what is wrong, at most one problem a field.
 *
 * A reader that finds nothing usable returns null or a stand-in, so that reading goes on to the next field;
 * throwProblems() at the end refuses the document whole.
 */
final class FieldReader
{
    private const MOST_PROBLEMS = 50;

    private const LARGEST_MM = 2000;

    /** @var array<string, Problem> by pointer */
    private array $problems = [];

    /** @var array<mixed> */
    private readonly array $document;

    public function __construct(mixed $document)
    {
        if (! self::isObject($document)) {
            $this->problem('', Reason::of('document.not-an-object'));
        }
        $this->document = is_array($document) ? $document : [];
    }

    public function problem(string $at, Reason $reason): void
    {
        $this->problems[$at] ??= new Problem($at, $reason);
    }

    /** @throws InvalidDocument */
    public function throwProblems(): void
    {
        if ($this->problems !== []) {
            throw InvalidDocument::because(array_slice(array_values($this->problems), 0, self::MOST_PROBLEMS));
        }
    }

    public function get(string $at): mixed
    {
        $here = $this->document;
        foreach (array_slice(explode('/', $at), 1) as $key) {
            if (! is_array($here) || ! array_key_exists($key, $here)) {
                return null;
            }
            $here = $here[$key];
        }

        return $here;
    }

    /** @param list<string> $known */
    public function allowOnly(string $at, array $known, string $reason = 'field.unknown'): void
    {
        $here = $at === '' ? $this->document : $this->get($at);
        if ($here === null) {
            return;
        }
        if (! self::isObject($here)) {
            $this->problem($at, Reason::of('field.not-an-object', ['known' => $known]));

            return;
        }
        foreach (array_keys($here) as $key) {
            if (! in_array($key, $known, true)) {
                $quoted = Reason::quote((string) $key);
                $this->problem($at.'/'.strtr($quoted, ['~' => '~0', '/' => '~1']), Reason::of($reason, ['text' => $quoted, 'known' => $known]));
            }
        }
    }

    /** The length at the pointer; a missing one is a problem and reads as one millimetre meanwhile. */
    public function required(string $at, ?Length $limit = null): Length
    {
        if ($this->get($at) === null) {
            $this->problem($at, Reason::of('length.missing'));
        }

        return $this->length($at, read: $limit === null ? null : fn (string $text): Length => LengthParser::read($text, limit: $limit)->length) ?? Length::mm(1);
    }

    /** @param ?Closure(string): Length $read how it is written; else as LengthParser reads */
    public function length(string $at, bool $mayBeZero = false, ?Closure $read = null): ?Length
    {
        $value = $this->get($at);
        try {
            $length = match (true) {
                $value === null => null,
                is_string($value) => ($read ?? LengthParser::parse(...))($value),
                is_int($value), is_float($value) => throw InvalidLength::unitMissing((string) $value),
                default => throw InvalidLength::notText(),
            };
            if ($length !== null && ! $mayBeZero && ! $length->isPositive()) {
                throw InvalidLength::notPositive();
            }

            return $length;
        } catch (InvalidLength $error) {
            $this->problem($at, $error->reason);

            return null;
        }
    }

    public function count(string $at, int $most, int $least = 1): ?int
    {
        $value = $this->get($at);
        if ($value === null || (is_int($value) && $value >= $least && $value <= $most)) {
            return $value;
        }
        $this->problem($at, Reason::of('count.out-of-range', ['least' => $least, 'most' => $most]));

        return null;
    }

    /** A name on one line; a missing one is a problem. */
    public function name(string $at, int $most): string
    {
        $name = $this->optionalName($at, $most);
        if ($name === null) {
            $this->problem($at, Reason::of('name.invalid', ['most' => $most]));
        }

        return $name ?? '';
    }

    public function optionalName(string $at, int $most): ?string
    {
        $value = $this->get($at);
        $plain = is_string($value) ? trim(preg_replace('/[\p{C}\s]+/u', ' ', mb_scrub($value, 'UTF-8')) ?? '') : '';
        if ($value !== null && ($plain === '' || mb_strlen($plain) > $most)) {
            $this->problem($at, Reason::of('name.invalid', ['most' => $most]));
        }

        return $value === null ? null : $plain;
    }

    /** @return list<Point> of a closed line, [x, y] in millimetres each; empty where there is none */
    public function ring(string $at, int $most): array
    {
        $value = $this->get($at) ?? [];
        $points = [];
        foreach (is_array($value) ? $value : [] as $pair) {
            [$x, $y] = is_array($pair) && array_is_list($pair) && count($pair) === 2 ? $pair : [null, null];
            if ((is_int($x) || is_float($x)) && (is_int($y) || is_float($y)) && min($x, $y) >= 0 && max($x, $y) <= self::LARGEST_MM) {
                $points[] = new Point((float) $x, (float) $y);
            }
        }
        if (! is_array($value) || count($points) !== count($value) || count($points) > $most || ($value !== [] && count($points) < 3)) {
            $this->problem($at, Reason::of('outline.shape', ['most' => $most]));

            return [];
        }

        return $points;
    }

    /** Text of several lines; none is the empty one. */
    public function text(string $at, int $most): string
    {
        $value = $this->get($at) ?? '';
        $plain = is_string($value) ? trim(preg_replace('/[^\P{C}\n]/u', '', str_replace("\r\n", "\n", mb_scrub($value, 'UTF-8'))) ?? '') : '';
        if (! is_string($value) || mb_strlen($plain) > $most) {
            $this->problem($at, Reason::of('text.too-long', ['most' => $most]));
        }

        return $plain;
    }

    /** A colour as `#rrggbb`. */
    public function colour(string $at): ?string
    {
        $value = $this->get($at);
        if ($value === null || $value === '') {
            return null;
        }
        if (is_string($value) && preg_match('/^#[0-9a-f]{6}$/i', $value) === 1) {
            return strtolower($value);
        }
        $this->problem($at, Reason::of('colour.invalid'));

        return null;
    }

    /** @param list<string> $choices */
    public function choice(string $at, array $choices, string $default): string
    {
        $value = $this->get($at);
        if ($value === null || in_array($value, $choices, true)) {
            return $value ?? $default;
        }
        $this->problem($at, Reason::of('choice.unknown', [
            'text' => Reason::quote(is_string($value) ? $value : get_debug_type($value)), 'known' => $choices,
        ]));

        return $default;
    }

    /** @phpstan-assert-if-true array<mixed> $value */
    private static function isObject(mixed $value): bool
    {
        return is_array($value) && ($value === [] || ! array_is_list($value));
    }
}
