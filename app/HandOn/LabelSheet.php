<?php

declare(strict_types=1);

namespace App\HandOn;

use Gimbo\Core\Design\Design;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * Labels with their texts at true size, as many to a page as go on it, the lines to cut along between them. PDF.
 *
 * Drawn as SVG and set by librsvg, which writes every script in its own direction and joins its letters.
 */
final readonly class LabelSheet
{
    private const MARGIN_MM = 12.0;

    /** Of a label's height, how high its letters are at the most; of its width, how much of it they take. */
    private const LETTER = 0.5;

    private const TAKES = 0.9;

    private const LEAST_MM = 1.4;

    /** What ships first, then what the set-up installs for the scripts that has not. */
    private const FONTS = "'Source Sans 3', FreeSans, 'Droid Sans Fallback', sans-serif";

    private const SHIPPED = 'node_modules/@expo-google-fonts/source-sans-3/400Regular/SourceSans3_400Regular.ttf';

    /** Null where the design has no labels. */
    public function pdf(Design $design, PaperFormat $format): ?string
    {
        $pages = self::pages($design, $format);

        return $pages === [] ? null : self::set(array_map(fn (array $page): string => self::svg($page, $format), $pages));
    }

    /**
     * @param non-empty-list<string> $pages SVG
     *
     * @throws RuntimeException where it cannot be set
     */
    private static function set(array $pages): string
    {
        $folder = storage_path('framework/labels/'.bin2hex(random_bytes(8)));
        mkdir($folder, 0700, true);
        try {
            $fonts = "$folder/fonts.conf";
            file_put_contents($fonts, '<fontconfig><include ignore_missing="yes">/etc/fonts/fonts.conf</include><dir>'.e(base_path('node_modules/@expo-google-fonts')).'</dir></fontconfig>');
            $files = [];
            foreach ($pages as $n => $page) {
                file_put_contents($files[] = "$folder/$n.svg", $page);
            }
            $set = new Process(['rsvg-convert', '-f', 'pdf', ...$files], env: ['FONTCONFIG_FILE' => $fonts], timeout: 60);
            $set->run();

            return $set->isSuccessful() ? $set->getOutput() : throw new RuntimeException('The labels could not be set: '.$set->getErrorOutput());
        } finally {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        }
    }

    /** @param list<array{left: float, top: float, width: float, height: float, letter: float, radius: float, text: string}> $page */
    private static function svg(array $page, PaperFormat $format): string
    {
        $drawn = array_map(fn (array $one): string => sprintf(
            '<rect x="%.3F" y="%.3F" width="%.3F" height="%.3F" rx="%.3F" fill="none" stroke="#888" stroke-width="0.1" stroke-dasharray="1 1"/><text x="%.3F" y="%.3F" font-size="%.3F" text-anchor="middle">%s</text>',
            $one['left'], $one['top'], $one['width'], $one['height'], $one['radius'], $one['left'] + $one['width'] / 2, $one['top'] + $one['height'] / 2 + 0.35 * $one['letter'], $one['letter'], e($one['text']),
        ), $page);

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.3Fmm" height="%2$.3Fmm" viewBox="0 0 %1$.3F %2$.3F"><g font-family="%3$s">', $format->width(), $format->height(), self::FONTS).implode('', $drawn).'</g></svg>';
    }

    /** How wide a text is in letters of a size of 1: as it is measured in the font that ships, or by how many columns a script's letters take. */
    private static function wide(string $text): float
    {
        $box = preg_match('/^[\x{0020}-\x{04FF}]*$/u', $text) === 1 ? imagettfbbox(100, 0, base_path(self::SHIPPED), $text) : false;

        // GD's sizes are points at 96 to the inch.
        return $box === false ? mb_strwidth($text) * 0.55 : ($box[2] - $box[0]) / 100 / (96 / 72);
    }

    /** @return list<list<array{left: float, top: float, width: float, height: float, letter: float, radius: float, text: string}>> labels by the page, mm from its upper left corner */
    public static function pages(Design $design, PaperFormat $format): array
    {
        [$pages, $page] = [[], []];
        [$x, $y, $row] = [self::MARGIN_MM, self::MARGIN_MM, 0.0];
        foreach (self::labels($design) as [$width, $height, $text, $radius]) {
            if ($x > self::MARGIN_MM && $x + $width > $format->width() - self::MARGIN_MM) {
                [$x, $y, $row] = [self::MARGIN_MM, $y + $row, 0.0];
            }
            if ($page !== [] && $y + $height > $format->height() - self::MARGIN_MM) {
                [$pages[], $page] = [$page, []];
                [$x, $y, $row] = [self::MARGIN_MM, self::MARGIN_MM, 0.0];
            }
            $letter = max(self::LEAST_MM, min($height * self::LETTER, $width * self::TAKES / max(0.1, self::wide($text))));
            $page[] = ['left' => $x, 'top' => $y, 'width' => $width, 'height' => $height, 'letter' => $letter, 'radius' => $radius, 'text' => $text];
            [$x, $row] = [$x + $width, max($row, $height)];
        }

        return $page === [] ? $pages : [...$pages, $page];
    }

    /** @return list<array{float, float, string, float}> width, height, text and corners of each, as often as there is one */
    private static function labels(Design $design): array
    {
        $labels = [];
        foreach ($design->figures->outfit->pieces as $piece) {
            for ($n = 0; $piece->role === 'label' && $n < $design->inAll($piece->figures->count); $n++) {
                $labels[] = [$piece->figures->sheet->width->toMillimetres(), $piece->figures->sheet->height->toMillimetres(), $piece->addition->text('text'), $piece->radius];
            }
        }

        return $labels;
    }
}
