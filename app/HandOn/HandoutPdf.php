<?php

declare(strict_types=1);

namespace App\HandOn;

use Dompdf\Dompdf;
use Dompdf\Options;
use RuntimeException;

/** Sets a handout's HTML as PDF, in the fonts that ship with Gimbo. */
final class HandoutPdf
{
    private const FONTS = [
        ['Source Sans 3', 'normal', 'source-sans-3/400Regular/SourceSans3_400Regular.ttf'],
        ['Source Sans 3', 'bold', 'source-sans-3/600SemiBold/SourceSans3_600SemiBold.ttf'],
        ['Source Serif 4', 'bold', 'source-serif-4/600SemiBold/SourceSerif4_600SemiBold.ttf'],
    ];

    public static function write(string $html, PaperFormat $format, string $title): string
    {
        $cache = storage_path('framework/fonts');
        is_dir($cache) || mkdir($cache, recursive: true);
        // Nothing is fetched, from nowhere: pictures are in the document itself.
        $options = (new Options)->setFontDir($cache)->setFontCache($cache)->setChroot([base_path('node_modules/@expo-google-fonts'), $cache])
            ->setIsRemoteEnabled(false)->setDefaultMediaType('print')->setIsFontSubsettingEnabled(true)->setDefaultFont('Source Sans 3');
        $pdf = new Dompdf($options);
        foreach (self::FONTS as [$family, $weight, $file]) {
            $pdf->getFontMetrics()->registerFont(['family' => $family, 'weight' => $weight, 'style' => 'normal'], base_path("node_modules/@expo-google-fonts/$file"))
                || throw new RuntimeException("The font $file is missing.");
        }
        $pdf->addInfo('Title', $title);
        $pdf->addInfo('Creator', 'Gimbo');
        $pdf->setPaper($format->value);
        $pdf->loadHtml($html);
        $pdf->render();

        return (string) $pdf->output();
    }
}
