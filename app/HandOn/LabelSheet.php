<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Words\Words;
use Gimbo\Core\Design\Design;
use Illuminate\Contracts\View\Factory;

/** Labels with their texts at true size, as many to a page as go on it, the lines to cut along between them. PDF. */
final readonly class LabelSheet
{
    private const MARGIN_MM = 12.0;

    /** Of a label's height, how high its letters are at the most; of their height, how wide one is. */
    private const LETTER = 0.5;

    private const WIDE = 0.6;

    private const POINTS_PER_MM = 72 / 25.4;

    public function __construct(private Words $words, private Factory $views)
    {
    }

    /** Null where the design has no labels. */
    public function pdf(Design $design, PaperFormat $format, string $name): ?string
    {
        $pages = self::pages($design, $format);
        if ($pages === []) {
            return null;
        }
        $html = $this->views->make('labels', ['pages' => $pages, 'format' => $format, 'name' => $name, 'words' => $this->words])->render();

        return HandoutPdf::write($html, $format, $name);
    }

    /** @return list<list<array{left: float, top: float, width: float, height: float, points: float, text: string}>> labels by the page, mm from its upper left corner */
    public static function pages(Design $design, PaperFormat $format): array
    {
        [$pages, $page] = [[], []];
        [$x, $y, $row] = [self::MARGIN_MM, self::MARGIN_MM, 0.0];
        foreach (self::labels($design) as [$width, $height, $text]) {
            if ($x > self::MARGIN_MM && $x + $width > $format->width() - self::MARGIN_MM) {
                [$x, $y, $row] = [self::MARGIN_MM, $y + $row, 0.0];
            }
            if ($page !== [] && $y + $height > $format->height() - self::MARGIN_MM) {
                [$pages[], $page] = [$page, []];
                [$x, $y, $row] = [self::MARGIN_MM, self::MARGIN_MM, 0.0];
            }
            $lines = max(1, mb_strlen($text));
            $points = min($height * self::LETTER, $width * 0.9 / $lines / self::WIDE) * self::POINTS_PER_MM;
            $page[] = ['left' => $x, 'top' => $y, 'width' => $width, 'height' => $height, 'points' => max(4.0, $points), 'text' => $text];
            [$x, $row] = [$x + $width, max($row, $height)];
        }

        return $page === [] ? $pages : [...$pages, $page];
    }

    /** @return list<array{float, float, string}> width, height and text of each, as often as there is one */
    private static function labels(Design $design): array
    {
        $labels = [];
        foreach ($design->figures->outfit->pieces as $piece) {
            for ($n = 0; $piece->role === 'label' && $n < $piece->figures->count; $n++) {
                $labels[] = [$piece->figures->sheet->width->toMillimetres(), $piece->figures->sheet->height->toMillimetres(), $piece->addition->text];
            }
        }

        return $labels;
    }
}
