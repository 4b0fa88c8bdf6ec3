<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use DOMDocument;
use DOMElement;
use DOMXPath;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/**
 * The shapes of an SVG drawing: path, rect, circle, ellipse, line, polyline and polygon, with the transforms they stand under,
 * and what is drawn again with use.
 *
 * What is only defined, clipped by or written as text is left out. A drawing that declares entities, or carries scripts, is
 * refused unread. Millimetres a unit follow from the document's width and viewBox, where the width has a unit of length.
 */
final class SvgOutline
{
    private const LEFT_OUT = ['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'text', 'style', 'metadata', 'title', 'desc'];

    private const HOSTILE = ['script', 'foreignObject', 'iframe', 'object', 'embed'];

    /** How deep groups may lie in one another, those that are used in others as well; one that uses itself is refused by it. */
    private const DEEPEST = 100;

    /** Elements drawn so far, those that are used again and again each time. */
    private int $visited = 0;

    /** How much text of attributes may be read, what is used again counted each time, in bytes. */
    private const MOST_READ = 8_000_000;

    private int $read = 0;

    /** @param array<string, DOMElement> $byId */
    private function __construct(private readonly array $byId)
    {
    }

    /** @throws InvalidDocument */
    public static function read(string $file): Drawing
    {
        if (preg_match('/<!\s*(ENTITY|ELEMENT|ATTLIST|NOTATION)|<!DOCTYPE[^>]*\[/i', $file) === 1) {
            throw InvalidDocument::at('/file', Reason::of('outline.entities'));
        }
        if (str_contains($file, "\0") || ! mb_check_encoding($file, 'UTF-8')) {
            throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        }
        SvgText::keepWithin($file);
        $before = libxml_use_internal_errors(true);
        try {
            return self::drawing($file);
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
    }

    private static function drawing(string $file): Drawing
    {
        $document = new DOMDocument;
        $document->loadXML($file, LIBXML_NONET | LIBXML_COMPACT);
        $root = $document->documentElement;
        $root?->localName === 'svg' && libxml_get_errors() === [] || throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        [$byId, $count] = [[], 0];
        foreach ((new DOMXPath($document))->query('//*') ?: [] as $element) {
            if (! $element instanceof DOMElement) {
                continue;
            }
            $attributes = self::attributes($element);
            self::isHostile((string) $element->localName, $attributes) && throw InvalidDocument::at('/file', Reason::of('outline.script'));
            isset($attributes['id']) && $byId[$attributes['id']] ??= $element;
            OutlineFile::keepWithin(++$count);
        }
        $drawing = new self($byId);

        return new Drawing(self::scale(self::attributes($root)), fn (float $scale) => $drawing->within($root, Transform::upright($scale), 0));
    }

    /**
     * @param Transform $place what is drawn under it in the document's own coordinates
     * @return iterable<Stroke>
     */
    private function within(DOMElement $parent, Transform $place, int $depth): iterable
    {
        $depth <= self::DEEPEST || throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        foreach ($parent->childNodes as $child) {
            if ($child instanceof DOMElement) {
                yield from $this->element($child, $place, $depth);
            }
        }
    }

    /** @return iterable<Stroke> */
    private function element(DOMElement $element, Transform $place, int $depth): iterable
    {
        OutlineFile::keepWithin(++$this->visited);
        $name = (string) $element->localName;
        $attributes = self::attributes($element);
        $this->read += array_sum(array_map(strlen(...), $attributes));
        OutlineFile::keepWithin($this->read, self::MOST_READ);
        if (in_array($name, self::LEFT_OUT, true) || preg_match('/\bdisplay\s*:\s*none\b/', 'display:'.($attributes['display'] ?? '').';'.($attributes['style'] ?? '')) === 1) {
            return;
        }
        $place = $place->after(Transform::written($attributes['transform'] ?? ''));
        if ($name === 'use') {
            yield from $this->used($attributes, $place, $depth);
        } elseif (in_array($name, SvgShape::NAMES, true)) {
            foreach (SvgShape::strokes($name, $attributes, Outline::TRUE_TO_MM / $place->factor()) as $stroke) {
                yield new Stroke(array_map($place->of(...), $stroke->points), $stroke->isClosed);
            }
        } else {
            yield from $this->within($element, $name === 'svg' ? $place->after(self::viewport($attributes, $attributes)) : $place, $depth + 1);
        }
    }

    /**
     * What is drawn again somewhere else (SVG 1.1, 5.6): a shape, a group, or a symbol.
     *
     * @param array<string, string> $attributes
     * @return iterable<Stroke>
     */
    private function used(array $attributes, Transform $place, int $depth): iterable
    {
        $what = $this->byId[ltrim($attributes['href'] ?? $attributes['xlink:href'] ?? '', '#')] ?? null;
        if ($what === null) {
            return;
        }
        $depth <= self::DEEPEST || throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        $place = $place->after(Transform::moved(new Point(SvgShape::number($attributes, 'x'), SvgShape::number($attributes, 'y'))));
        yield from in_array($what->localName, ['symbol', 'svg'], true)
            ? $this->within($what, $place->after(self::viewport(self::attributes($what), $attributes)), $depth + 1)
            : $this->element($what, $place, $depth + 1);
    }

    /**
     * From the coordinates of what has a viewBox of its own to those around it (SVG 1.1, 7.8: as large as goes in, in the middle).
     *
     * @param array<string, string> $own attributes of the symbol or the document within
     * @param array<string, string> $asked those that say how large it is put in
     */
    private static function viewport(array $own, array $asked): Transform
    {
        $at = $own === $asked ? Transform::moved(new Point(SvgShape::number($own, 'x'), SvgShape::number($own, 'y'))) : Transform::none();
        $box = self::viewBox($own);
        [$width, $height] = [SvgShape::number($asked, 'width') ?: SvgShape::number($own, 'width'), SvgShape::number($asked, 'height') ?: SvgShape::number($own, 'height')];
        if ($box === null || $width <= 0 || $height <= 0) {
            return $at;
        }
        [$x, $y, $wide, $high] = $box;
        $scale = min($width / $wide, $height / $high);

        return $at->after(Transform::moved(new Point(($width - $wide * $scale) / 2, ($height - $high * $scale) / 2)))
            ->after(Transform::scaled($scale))->after(Transform::moved(new Point(-$x, -$y)));
    }

    /**
     * @param array<string, string> $attributes
     * @return array{float, float, float, float}|null left, top, width and height; null where there is none that has a size
     */
    private static function viewBox(array $attributes): ?array
    {
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($attributes['viewBox'] ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: []);

        return count($box) === 4 && $box[2] > 0 && $box[3] > 0 ? [$box[0], $box[1], $box[2], $box[3]] : null;
    }

    /** @return array<string, string> by their names as written */
    private static function attributes(DOMElement $element): array
    {
        $attributes = [];
        foreach ($element->attributes as $attribute) {
            $attributes[$attribute->nodeName] = (string) $attribute->nodeValue;
        }

        return $attributes;
    }

    /** @param array<string, string> $attributes */
    private static function isHostile(string $name, array $attributes): bool
    {
        foreach ($attributes as $key => $value) {
            if (preg_match('/^on\w+$/i', $key) === 1 || preg_match('/^\s*javascript:/i', $value) === 1) {
                return true;
            }
        }

        return in_array($name, self::HOSTILE, true);
    }

    /**
     * Millimetres a unit, of the viewBox where there is one, and of CSS's pixel otherwise; null where the width is no length.
     *
     * @param array<string, string> $attributes of the document
     */
    private static function scale(array $attributes): ?float
    {
        $lengths = [];
        foreach (['width', 'height'] as $side) {
            if (preg_match('/^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/i', $attributes[$side] ?? '', $match) === 1) {
                $lengths[$side] = (float) $match[1] * (['pc' => 25.4 / 6] + OutlineFile::UNITS)[strtolower($match[2])];
            }
        }
        if ($lengths === []) {
            return null;
        }
        $box = self::viewBox($attributes);
        $scales = [];
        foreach (['width' => $box[2] ?? 0.0, 'height' => $box[3] ?? 0.0] as $side => $units) {
            if (isset($lengths[$side]) && $units > 0) {
                $scales[] = $lengths[$side] / $units;
            }
        }

        return $scales === [] ? OutlineFile::UNITS['px'] : min($scales);
    }
}
