<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/**
 * The lines of a DXF drawing as text, release 12 or later: LINE, POLYLINE, LWPOLYLINE, ARC, CIRCLE, ELLIPSE and SPLINE, and
 * the blocks of them that are put in with INSERT.
 *
 * Texts and what lies on the paper's own space are left out. Millimetres a unit follow from $INSUNITS, which many drawings
 * lack.
 */
final class DxfOutline
{
    /** $INSUNITS by its code, in millimetres (codes of the format, from memory; 4 as ezdxf reads it in what we write). */
    private const UNITS = [1 => 25.4, 2 => 304.8, 4 => 1.0, 5 => 10.0, 6 => 1000.0];

    private const READ = [...DxfShape::ENTITIES, 'INSERT'];

    /** Of the file: some thirty for each line it draws. */
    private const MOST_LINES = 400_000;

    /** How deep blocks may lie in one another; one that holds itself goes no deeper either. */
    private const DEEPEST = 12;

    /** The drawing itself, among its blocks. */
    private const ITSELF = '';

    /** Entities drawn and blocks put in so far, again and again where a block is put in again. */
    private int $visited = 0;

    /** @param array<string, list<DxfEntity>> $blocks */
    private function __construct(private readonly array $blocks)
    {
    }

    /** @throws InvalidDocument */
    public static function read(string $file): Drawing
    {
        [$units, $section, $block, $wanted, $blocks, $count] = [0, '', self::ITSELF, '', [], 0];
        $entity = null;
        foreach (self::pairs($file) as [$code, $value]) {
            if ($code === 0) {
                $wanted = $value === 'SECTION' ? 'section' : '';
                $section = $value === 'ENDSEC' ? '' : $section;
                if ($value === 'VERTEX' && $entity?->type === 'POLYLINE') {
                    $entity->vertices[] = [];
                } elseif ($section === 'BLOCKS' && $value === 'BLOCK') {
                    $entity = new DxfEntity($value);
                    $block = '*'.$count;
                    $blocks[$block][] = $entity;
                } else {
                    $isRead = in_array($value, self::READ, true) && ($section === 'ENTITIES' || $section === 'BLOCKS');
                    $entity = $isRead ? new DxfEntity($value) : null;
                    $entity === null || $blocks[$section === 'ENTITIES' ? self::ITSELF : $block][] = $entity;
                }
                OutlineFile::keepWithin(++$count);
            } elseif ($wanted === 'section' && $code === 2) {
                [$section, $wanted] = [$value, ''];
            } elseif ($section === 'HEADER' && $code === 9) {
                $wanted = $value;
            } elseif ($wanted === '$INSUNITS' && $code === 70) {
                $units = (int) $value;
            } else {
                $entity?->put($code, $value);
            }
        }
        $drawing = new self(self::byName($blocks));

        return new Drawing(self::UNITS[$units] ?? null, fn (float $scale) => $drawing->strokes(self::ITSELF, Transform::scaled($scale), 0));
    }

    /**
     * @param array<string, list<DxfEntity>> $blocks
     * @return array<string, list<DxfEntity>> each with the entity that begins it
     */
    private static function byName(array $blocks): array
    {
        $named = [];
        foreach ($blocks as $entities) {
            $named[$entities[0]->type === 'BLOCK' ? (string) $entities[0]->get(2) : self::ITSELF] = $entities;
        }

        return $named;
    }

    /** @return iterable<array{int, string}> group codes with their values */
    private static function pairs(string $file): iterable
    {
        $lines = preg_split('/\r\n|\r|\n/', $file, self::MOST_LINES + 1) ?: [];
        OutlineFile::keepWithin(count($lines), self::MOST_LINES);
        for ($i = 0; $i + 1 < count($lines); $i += 2) {
            $code = trim($lines[$i]);
            preg_match('/^-?\d{1,4}$/', $code) === 1 || throw InvalidDocument::at('/file', Reason::of('outline.dxf', ['line' => $i + 1]));
            yield [(int) $code, trim($lines[$i + 1])];
        }
    }

    /** @return iterable<Stroke> of one block, placed by the transform */
    private function strokes(string $block, Transform $place, int $depth): iterable
    {
        $tolerance = Outline::TRUE_TO_MM / $place->factor();
        foreach ($this->blocks[$block] ?? [] as $entity) {
            OutlineFile::keepWithin(++$this->visited);
            if ($entity->type === 'BLOCK' || $entity->get(67) === '1') {
                continue;
            }
            if ($entity->type !== 'INSERT') {
                $stroke = DxfShape::stroke($entity, $tolerance);
                yield new Stroke(array_map($place->of(...), $stroke->points), $stroke->isClosed);

                continue;
            }
            $name = (string) $entity->get(2);
            if ($name === self::ITSELF || $depth >= self::DEEPEST) {
                continue;
            }
            foreach ($this->places($entity) as $inner) {
                OutlineFile::keepWithin(++$this->visited);
                yield from $this->strokes($name, $place->after($inner), $depth + 1);
            }
        }
    }

    /** @return iterable<Transform> where a block is put in: once, or in rows and columns */
    private function places(DxfEntity $insert): iterable
    {
        [$columns, $rows] = [self::times($insert->number(70, 1.0)), self::times($insert->number(71, 1.0))];
        OutlineFile::keepWithin($columns * $rows);
        $base = ($this->blocks[(string) $insert->get(2)] ?? [])[0] ?? null;
        $at = $insert->isFromBelow() ? Transform::mirrored() : Transform::none();
        $at = $at->after(Transform::moved($insert->point(10)))->after(Transform::turned(deg2rad($insert->number(50))));
        for ($i = 0; $i < $columns * $rows; $i++) {
            yield $at
                ->after(Transform::moved(new Point($i % $columns * $insert->number(44), intdiv($i, $columns) * $insert->number(45))))
                ->after(Transform::stretched($insert->number(41, 1.0), $insert->number(42, 1.0)))
                ->after(Transform::moved(($base?->point(10) ?? new Point(0, 0))->times(-1)));
        }
    }

    private static function times(float $said): int
    {
        return (int) max(1, min(OutlineFile::MOST_POINTS + 1, $said));
    }
}
