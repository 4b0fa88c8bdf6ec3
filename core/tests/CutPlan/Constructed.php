<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

/** Sheets cut at random into pieces, and shuffled: what is known to come out of so many. */
final class Constructed
{
    private const LEAST = 8;

    /**
     * @param array{int, int} $sheet mm
     * @param int $kerf mm
     * @return list<array{int, int}> the pieces, mm
     */
    public static function pieces(int $sheets, array $sheet, int $pieces, int $kerf): array
    {
        $parts = array_fill(0, $sheets, $sheet);
        while (count($parts) < $pieces) {
            $i = mt_rand(0, count($parts) - 1);
            [$w, $h] = $parts[$i];
            $isUpright = mt_rand(0, $w + $h) < $w;
            $side = $isUpright ? $w : $h;
            if ($side < 2 * self::LEAST + $kerf) {
                continue;
            }
            $at = mt_rand(self::LEAST, $side - self::LEAST - $kerf);
            array_splice($parts, $i, 1, $isUpright ? [[$at, $h], [$w - $at - $kerf, $h]] : [[$w, $at], [$w, $h - $at - $kerf]]);
        }
        shuffle($parts);

        return $parts;
    }

    /**
     * A job of them, with as many sheets as one likes.
     *
     * @param array{int, int} $sheet mm
     * @return array<string, mixed>
     */
    public static function job(int $sheets, array $sheet, int $pieces, int $kerf): array
    {
        $parts = self::pieces($sheets, $sheet, $pieces, $kerf);

        return [
            'pieces' => array_map(fn (array $part, int $n): array => ['id' => "p$n", 'width' => "$part[0] mm", 'height' => "$part[1] mm", 'count' => 1], $parts, array_keys($parts)),
            'stock' => [['id' => 's', 'width' => "$sheet[0] mm", 'height' => "$sheet[1] mm", 'count' => 9999]], 'trimmer' => ['step' => '1 mm', 'kerf' => "$kerf mm"],
        ];
    }
}
