<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\NamedSize;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Tool\Tools;

/** What may mend a fit that fails, the least change first. Whether it does is Sizing's to try. */
final class Remedies
{
    private const MOST_SHEETS = 2;

    /** @return list<Remedy> */
    public static function for(string $fit, Design $design): array
    {
        $request = $design->request;

        return match ($fit) {
            Fits::SHEET => [...self::tighter($design), ...self::largerSheets($design)],
            Fits::SEAM => [self::withSeam($request, Fits::seamNeed()->timesNearest(2, 3)), self::withSeam($request, Fits::seamNeed())],
            Fits::FLAPS => [self::finerTrimmer($request), self::withSeam($request, Length::inches(1, 2)), self::withSeam($request, Length::inches(3, 4))],
            Fits::TIPS => [self::finerTrimmer($request)],
            default => [],
        };
    }

    /** @return list<Remedy> less room, or a narrower seam scored instead of punched, so that the square shrinks */
    private static function tighter(Design $design): array
    {
        $request = $design->request;
        $sheet = $request->paper->sheet;
        if ($sheet === null) {
            return [];
        }
        $over = $design->pieces[0]->sheet->width->minus(Length::min($sheet->width, $sheet->height));
        $known = $request->options->length('seam') ?? $request->tools->notch;
        $seam = self::stepOf($request->system)->down($known->minus(Length::atLeast($over->toMillimetres() / 2)));
        $remedies = [];
        if (! $seam->isLessThan(Fits::seamNeed()->timesNearest(1, 2))) {
            $remedies[] = self::withSeam($request, $seam);
        }
        $smaller = self::stepOf($request->system)->down(Length::atMost(Fits::seamNeed()->toMillimetres() / 2 + 0.5));
        if ($smaller->isLessThan($known)) {
            $remedies[] = self::withSeam($request, $smaller);
        }

        return $remedies;
    }

    /** @return list<Remedy> the smallest sheets by name that take the square */
    private static function largerSheets(Design $design): array
    {
        $piece = $design->pieces[0]->sheet;
        $fitting = array_filter(NamedSize::all(), fn (NamedSize $size) => $size->kind === 'sheet' && $piece->comesOutOf($size->size));
        usort($fitting, fn (NamedSize $a, NamedSize $b) => $a->size->width->plus($a->size->height)->compareTo($b->size->width->plus($b->size->height)));

        return array_map(fn (NamedSize $size) => new Remedy('larger-sheet', [
            '/paper/sheet/width' => self::ownText($size, $size->size->width),
            '/paper/sheet/height' => self::ownText($size, $size->size->height),
        ], ['sheet' => $size->id]), array_slice($fitting, 0, self::MOST_SHEETS));
    }

    private static function finerTrimmer(SizingRequest $request): Remedy
    {
        return new Remedy('finer-trimmer', ['/tools/cut' => self::text($request->system, Tools::usual($request->system)->cut->size)]);
    }

    private static function withSeam(SizingRequest $request, Length $seam): Remedy
    {
        $text = self::text($request->system, self::stepOf($request->system)->up($seam));

        return new Remedy('score-with-seam', ['/options/method' => DiagonalEnvelope::SCORE, '/options/seam' => $text], ['seam' => $text]);
    }

    private static function stepOf(System $system): Step
    {
        return Step::of($system === System::Imperial ? Length::inches(1, 16) : Length::mm(1));
    }

    private static function text(System $system, Length $length): string
    {
        return LengthFormatter::for($system)->text($length);
    }

    /** A sheet named in millimetres is bought in millimetres, whatever the maker measures in. */
    private static function ownText(NamedSize $size, Length $length): string
    {
        return self::text($size->isMetric() ? System::Metric : System::Imperial, $length);
    }
}
