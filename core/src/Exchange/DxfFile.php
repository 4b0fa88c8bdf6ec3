<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Piece;

/**
 * A piece as a true-size DXF drawing of release 12 (AC1009), one unit a millimetre.
 *
 * Layers are named as Layer names them, each with its own line type and colour; strokes are polylines in the order a
 * machine must do them.
 */
final class DxfFile
{
    private const DECIMALS = 4;

    /** Colour numbers of the format, and dashes in millimetres: positive drawn, negative left out. */
    private const LOOKS = [
        'score-mountain' => [6, 'DASHDOT', [6.0, -1.5, 0.5, -1.5]],
        'score-valley' => [3, 'DASHED', [4.0, -2.0]],
        'cut-inside' => [1, 'CONTINUOUS', []],
        'cut-outline' => [7, 'CONTINUOUS', []],
    ];

    /** Units of a drawing: 4 is the millimetre. */
    private const MILLIMETRES = '4';

    public static function write(Piece $piece): string
    {
        $pairs = [
            [0, 'SECTION'], [2, 'HEADER'], [9, '$ACADVER'], [1, 'AC1009'], [9, '$INSUNITS'], [70, self::MILLIMETRES],
            [9, '$EXTMIN'], [10, '0'], [20, '0'], [9, '$EXTMAX'],
            [10, self::number($piece->sheet->width->toMillimetres())], [20, self::number($piece->sheet->height->toMillimetres())], [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'TABLES'], ...self::lineTypes(), ...self::layers(), [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'ENTITIES'],
        ];
        foreach (Paths::of($piece->pattern()) as $path) {
            array_push($pairs, ...self::polyline($path));
        }
        array_push($pairs, [0, 'ENDSEC'], [0, 'EOF']);

        return implode('', array_map(fn (array $pair) => sprintf("%3d\r\n%s\r\n", $pair[0], $pair[1]), $pairs));
    }

    /** @return list<array{int, string}> */
    private static function lineTypes(): array
    {
        $pairs = [];
        $types = ['CONTINUOUS' => []];
        foreach (self::LOOKS as [, $name, $dashes]) {
            $types[$name] = $dashes;
        }
        foreach ($types as $name => $dashes) {
            array_push($pairs, [0, 'LTYPE'], [2, $name], [70, '0'], [3, ''], [72, '65'], [73, (string) count($dashes)], [40, self::number(array_sum(array_map(abs(...), $dashes)))]);
            foreach ($dashes as $dash) {
                $pairs[] = [49, self::number($dash)];
            }
        }

        return [[0, 'TABLE'], [2, 'LTYPE'], [70, (string) count($types)], ...$pairs, [0, 'ENDTAB']];
    }

    /** @return list<array{int, string}> */
    private static function layers(): array
    {
        $pairs = [[0, 'TABLE'], [2, 'LAYER'], [70, (string) count(self::LOOKS)]];
        foreach (self::LOOKS as $name => [$colour, $type]) {
            array_push($pairs, [0, 'LAYER'], [2, $name], [70, '0'], [62, (string) $colour], [6, $type]);
        }

        return [...$pairs, [0, 'ENDTAB']];
    }

    /** @return list<array{int, string}> */
    private static function polyline(ToolPath $path): array
    {
        $layer = $path->layer->value;
        $pairs = [[0, 'POLYLINE'], [8, $layer], [66, '1'], [10, '0'], [20, '0'], [30, '0'], [70, $path->isClosed ? '1' : '0']];
        foreach ($path->points as $point) {
            array_push($pairs, [0, 'VERTEX'], [8, $layer], [10, self::number($point->x)], [20, self::number($point->y)], [30, '0']);
        }

        return [...$pairs, [0, 'SEQEND'], [8, $layer]];
    }

    private static function number(float $millimetres): string
    {
        return number_format($millimetres + 0.0, self::DECIMALS, '.', '');
    }
}
