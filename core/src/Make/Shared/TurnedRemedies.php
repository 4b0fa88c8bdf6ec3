<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Tool\Tools;

/** What may mend a fit that fails, the least change first. Whether it does is Sizing's to try. */
final class TurnedRemedies
{
    /** @return list<Remedy> */
    public static function for(string $fit, Figures $figures): array
    {
        $request = $figures->request;

        return match ($fit) {
            FromPaper::ID => [...self::tighter($figures), ...FromPaper::remedies($figures->pieces)],
            TurnedFits::SEAM => [self::withSeam($request, TurnedFits::seamNeed()->timesNearest(2, 3)), self::withSeam($request, TurnedFits::seamNeed())],
            TurnedFits::FLAPS => [self::finerTrimmer($request), self::withSeam($request, Length::inches(1, 2)), self::withSeam($request, Length::inches(3, 4))],
            TurnedFits::TIPS => [self::finerTrimmer($request)],
            default => [],
        };
    }

    /** @return list<Remedy> less room, or a narrower seam scored instead of punched, so that the square shrinks */
    private static function tighter(Figures $figures): array
    {
        $request = $figures->request;
        $sheet = $request->paper->sheet;
        if ($sheet === null) {
            return [];
        }
        $over = $figures->pieces[0]->sheet->width->minus(Length::min($sheet->width, $sheet->height));
        $known = $request->options->length(TurnedMethod::SEAM) ?? $request->tools->notch;
        $seam = self::stepOf($request->system)->down($known->minus(Length::atLeast($over->toMillimetres() / 2)));
        $remedies = [];
        if (! $seam->isLessThan(TurnedFits::seamNeed()->timesNearest(1, 2))) {
            $remedies[] = self::withSeam($request, $seam);
        }
        $smaller = self::stepOf($request->system)->down(Length::atMost(TurnedFits::seamNeed()->toMillimetres() / 2 + 0.5));
        if ($smaller->isLessThan($known)) {
            $remedies[] = self::withSeam($request, $smaller);
        }

        return $remedies;
    }

    private static function withSeam(SizingRequest $request, Length $seam): Remedy
    {
        $text = self::text($request->system, self::stepOf($request->system)->up($seam));

        return new Remedy('score-with-seam', ['/options/method' => TurnedMethod::SCORE, '/options/'.TurnedMethod::SEAM => $text], [TurnedMethod::SEAM => $text]);
    }

    private static function stepOf(System $system): Step
    {
        return Step::of($system === System::Imperial ? Length::inches(1, 16) : Length::mm(1));
    }

    private static function text(System $system, Length $length): string
    {
        return LengthFormatter::for($system)->text($length);
    }

    /** A trimmer with the step that most have. */
    private static function finerTrimmer(SizingRequest $request): Remedy
    {
        return new Remedy('finer-trimmer', ['/tools/cut' => LengthFormatter::for($request->system)->text(Tools::usual($request->system)->cut->size)]);
    }
}
