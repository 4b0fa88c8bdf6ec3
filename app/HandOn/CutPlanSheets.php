<?php

declare(strict_types=1);

namespace App\HandOn;

use App\CutPlan\Planned;
use App\CutPlan\PlanView;
use App\Words\Words;
use Illuminate\Contracts\View\Factory;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * A cutting plan to hand on: each sheet drawn to scale with its numbered cuts, every cut in words, what is missing.
 *
 * @phpstan-type Tree array<string, mixed>
 */
final readonly class CutPlanSheets
{
    /** Millimetres. */
    private const ROOM = [80.0, 150.0];

    public function __construct(private Words $words, private Factory $views)
    {
    }

    public function pdf(Planned $planned, PaperFormat $format): string
    {
        $view = (new PlanView($planned, $this->words))->json();
        $pictures = array_map(self::onPaper(...), array_column($view['sheets'], 'tree'));

        return HandoutPdf::write($this->views->make('plan', ['plan' => $view, 'pictures' => $pictures, 'words' => $this->words])->render(), $format, $planned->kept->name);
    }

    /** Counted from 1; true size. */
    public function svg(Planned $planned, int $number): string
    {
        return self::picture((new PlanView($planned, $this->words))->json()['sheets'][$number - 1]['tree'] ?? throw new NotFoundHttpException);
    }

    /**
     * As large as there is room beside its cuts.
     *
     * @param Tree $sheet
     * @return array{src: string, width: float, height: float} mm
     */
    private static function onPaper(array $sheet): array
    {
        $scale = min(self::ROOM[0] / $sheet['width'], self::ROOM[1] / $sheet['height']);

        return ['src' => 'data:image/svg+xml;base64,'.base64_encode(self::picture($sheet, '', 0.75 / $scale)), 'width' => round($scale * $sheet['width'], 2), 'height' => round($scale * $sheet['height'], 2)];
    }

    /**
     * @param Tree $sheet
     * @param float $one how large marks are drawn, so that they are legible at the scale of the paper
     */
    private static function picture(array $sheet, string $unit = 'mm', float $one = 1.0): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.3F%3$s" height="%2$.3F%3$s" viewBox="0 0 %1$.3F %2$.3F">', $sheet['width'], $sheet['height'], $unit)
            .sprintf('<rect width="%.3F" height="%.3F" fill="#fff" stroke="#14303a" stroke-width="0.6"/>', $sheet['width'], $sheet['height']).self::drawn($sheet, 0.0, $sheet['height'], $one).'</svg>';
    }

    /** @param Tree $part */
    private static function drawn(array $part, float $left, float $bottom, float $one): string
    {
        [$w, $h] = [$part['width'], $part['height']];
        if (! isset($part['parts'])) {
            $size = min($w, $h) / 3;
            $fill = $part['letter'] !== null ? '#e8f0f2' : ($part['isOffcut'] ? '#f4ead6' : '#dddddd');
            $letter = $part['letter'] === null ? '' : sprintf('<text x="%.3F" y="%.3F" font-family="Source Sans 3, sans-serif" font-size="%.3F" text-anchor="middle" fill="#14303a">%s</text>', $left + $w / 2, $bottom - $h / 2 + $size / 3, $size, e($part['letter']));

            $slant = isset($part['slant']) ? vsprintf('<line x1="%.3F" y1="%.3F" x2="%.3F" y2="%.3F" stroke="#0b6477" stroke-width="%.3F" stroke-dasharray="2 1"/>', [$left + $part['slant'][0], $bottom - $part['slant'][1], $left + $part['slant'][2], $bottom - $part['slant'][3], 0.4 * $one]) : '';

            return $w <= 0.0 || $h <= 0.0 ? '' : sprintf('<rect x="%.3F" y="%.3F" width="%.3F" height="%.3F" fill="%s" stroke="#14303a" stroke-width="0.3"/>', $left, $bottom - $h, $w, $h, $fill).$slant.$letter;
        }
        [$at, [$first, $over]] = [$part['at'], $part['parts']];
        [$x, $y] = $part['isUpright'] ? [$left + $at, $bottom - $h] : [$left, $bottom - $at];
        [$toX, $toY] = $part['isUpright'] ? [$x, $bottom] : [$left + $w, $y];
        $second = $part['isUpright'] ? [$left + $w - $over['width'], $bottom] : [$left, $bottom - $h + $over['height']];
        $mark = $part['isUpright'] ? [$x, $y + min(6.0 * $one, $h / 2)] : [$x + min(6.0 * $one, $w / 2), $y];

        return self::drawn($first, $left, $bottom, $one).self::drawn($over, $second[0], $second[1], $one)
            .sprintf('<line x1="%.3F" y1="%.3F" x2="%.3F" y2="%.3F" stroke="#0b6477" stroke-width="%.3F"/>', $x, $y, $toX, $toY, 0.7 * $one)
            .sprintf('<circle cx="%.3F" cy="%.3F" r="%.3F" fill="#0b6477"/><text x="%.3F" y="%.3F" font-family="Source Sans 3, sans-serif" font-size="%.3F" text-anchor="middle" fill="#fff">%d</text>', $mark[0], $mark[1], 3.4 * $one, $mark[0], $mark[1] + 1.5 * $one, 4.4 * $one, $part['n']);
    }
}
