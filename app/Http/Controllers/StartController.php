<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use Gimbo\Core\CutPlan\Job;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\CutPlan\Stock;
use Gimbo\Core\CutPlan\Trimmer;
use Gimbo\Core\CutPlan\Wanted;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\SpecEditor;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * Everything that could be made for one thing, sized and drawn for it: `{"holds": {…}, "system": …, "usual": …, "shown": {…}, "with": […]}`,
 * with what is usually worked with, as changes. Bare numbers are in
 * the unit of what was shown in their field; the system is the one named, else the one its width and height are written in, else the usual one.
 */
final class StartController
{
    public function __invoke(Request $request, Sizing $sizing): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $holds = is_array($body['holds'] ?? null) ? $body['holds'] : throw InvalidDocument::at('/holds', Reason::of('field.not-an-object', ['known' => ['width', 'height', 'thickness', 'count']]));
        $system = fn (string $field): ?System => System::tryFrom(is_string($body[$field] ?? null) ? $body[$field] : '');
        $spec = SpecEditor::begun($holds, is_array($body['shown'] ?? null) ? $body['shown'] : [], $system('system'), $system('usual') ?? System::Imperial);
        $usual = isset($body['with']) ? UsualController::of($sizing, $body['with']) : [];
        // Tools are of one system.
        $spec += array_diff_key($usual, ($usual['system'] ?? null) === $spec['system'] ? [] : ['tools' => true]);
        $starts = [];
        foreach ($sizing->makes->ids() as $make) {
            $design = $sizing->size(['make' => $make] + $spec);
            $starts[] = [
                'make' => $make,
                'picture' => StillWriter::write($design),
                'sheet' => $design->pieces[0]->figures->cutText(),
                'pieces' => count($design->pieces),
                'sheets' => self::sheets($design),
                'fits' => array_filter($design->fits, fn (Fit $fit) => ! $fit->isOk()) === [],
            ];
        }

        return new JsonResponse(['spec' => $spec, 'starts' => $starts]);
    }

    /** How many sheets of its paper it takes; null where that has no sheet, or a piece is larger. */
    private static function sheets(Design $design): ?int
    {
        $sheet = $design->request->paper->sheet;
        if ($sheet === null) {
            return null;
        }
        $pieces = array_map(fn (Piece $piece): Wanted => new Wanted($piece->id, $piece->sheet->width, $piece->sheet->height, $piece->count, ''), $design->pieces);
        $job = new Job($pieces, [new Stock('sheet', '', $sheet->width, $sheet->height, Job::MOST_PIECES)], new Trimmer($design->request->tools->cut->size, Length::zero()), Length::zero(), new Rectangle(Length::inches(1), Length::inches(2)));
        $plan = Planner::plan($job, 0.05);

        return $plan->missing === [] ? $plan->used()['sheet'] : null;
    }
}
