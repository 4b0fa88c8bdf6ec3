<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Planning\Planned;
use App\Planning\PlanView;
use App\Words\Words;
use Illuminate\Contracts\View\Factory;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * A cutting plan to hand on: each sheet drawn to scale with its numbered cuts, every cut in words, what is missing.
 *
 * @phpstan-type Tree array<string, mixed>
 */
final readonly class PlanSheets
{
    public function __construct(private Words $words, private Factory $views)
    {
    }

    public function pdf(Planned $planned, PaperFormat $format): string
    {
        $view = (new PlanView($planned, $this->words))->json();
        $pictures = array_map(fn (array $sheet): string => 'data:image/svg+xml;base64,'.base64_encode(self::picture($sheet['tree'])), $view['sheets']);

        return HandoutPdf::write($this->views->make('plan', ['plan' => $view, 'pictures' => $pictures, 'words' => $this->words])->render(), $format, $planned->kept->name);
    }

    /** Counted from 1; true size. */
    public function svg(Planned $planned, int $number): string
    {
        return self::picture((new PlanView($planned, $this->words))->json()['sheets'][$number - 1]['tree'] ?? throw new NotFoundHttpException);
    }

    /** @param Tree $sheet */
    private static function picture(array $sheet): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.3Fmm" height="%2$.3Fmm" viewBox="0 0 %1$.3F %2$.3F">', $sheet['width'], $sheet['height'])
            .sprintf('<rect width="%.3F" height="%.3F" fill="#fff" stroke="#14303a" stroke-width="0.6"/>', $sheet['width'], $sheet['height']).self::drawn($sheet, 0.0, $sheet['height']).'</svg>';
    }

    /** @param Tree $part */
    private static function drawn(array $part, float $left, float $bottom): string
    {
        [$w, $h] = [$part['width'], $part['height']];
        if (! isset($part['parts'])) {
            $size = min($w, $h) / 3;
            $fill = $part['letter'] !== null ? '#e8f0f2' : ($part['isOffcut'] ? '#f4ead6' : '#dddddd');
            $letter = $part['letter'] === null ? '' : sprintf('<text x="%.3F" y="%.3F" font-family="Source Sans 3, sans-serif" font-size="%.3F" text-anchor="middle" fill="#14303a">%s</text>', $left + $w / 2, $bottom - $h / 2 + $size / 3, $size, e($part['letter']));

            return $w <= 0.0 || $h <= 0.0 ? '' : sprintf('<rect x="%.3F" y="%.3F" width="%.3F" height="%.3F" fill="%s" stroke="#14303a" stroke-width="0.3"/>', $left, $bottom - $h, $w, $h, $fill).$letter;
        }
        [$at, [$first, $over]] = [$part['at'], $part['parts']];
        [$x, $y] = $part['isUpright'] ? [$left + $at, $bottom - $h] : [$left, $bottom - $at];
        [$toX, $toY] = $part['isUpright'] ? [$x, $bottom] : [$left + $w, $y];
        $second = $part['isUpright'] ? [$left + $w - $over['width'], $bottom] : [$left, $bottom - $h + $over['height']];
        $mark = $part['isUpright'] ? [$x, $y + min(6.0, $h / 2)] : [$x + min(6.0, $w / 2), $y];

        return self::drawn($first, $left, $bottom).self::drawn($over, $second[0], $second[1])
            .sprintf('<line x1="%.3F" y1="%.3F" x2="%.3F" y2="%.3F" stroke="#0b6477" stroke-width="0.7"/>', $x, $y, $toX, $toY)
            .sprintf('<circle cx="%.3F" cy="%.3F" r="3.4" fill="#0b6477"/><text x="%.3F" y="%.3F" font-family="Source Sans 3, sans-serif" font-size="4.4" text-anchor="middle" fill="#fff">%d</text>', $mark[0], $mark[1], $mark[0], $mark[1] + 1.5, $part['n']);
    }
}
