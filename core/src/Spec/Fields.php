<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\StepText;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Paper\Paper;

/** Every length of a request that a maker can change, by pointer. */
final readonly class Fields
{
    /** A tool's field in a spec, by ToolKind's value. */
    private const REACHES = ['trimmer' => 'cut', 'trimmer-score' => 'trimmer-score', 'scoring-board' => 'score', 'punch-board' => 'punch'];

    /**
     * @param array<string, Length> $chosen the lengths the make's options come to, by option
     * @return array<string, Field>
     */
    public static function of(SizingRequest $request, array $chosen): array
    {
        $isImperial = $request->system === System::Imperial;
        $cut = $request->tools->cut;
        $thin = Step::of($isImperial ? Length::inches(1, 32) : Length::mm(1, 2));
        $fine = Step::of($isImperial ? Length::inches(1, 64) : Length::mm(1, 2));
        $paper = Step::of(Length::mm(1, 100));
        $rows = [
            ['/holds/width', $request->item->width, $cut, false],
            ['/holds/height', $request->item->height, $cut, false],
            ['/holds/thickness', $request->item->thickness, $thin, false],
            ['/clearance/width', $request->clearance->width, $cut, true],
            ['/clearance/height', $request->clearance->height, $cut, true],
            ['/clearance/depth', $request->clearance->depth, $thin, true],
            ['/paper/caliper', $request->paperNamed(Paper::MAIN)->caliper, $paper, true],
            ['/tools/cut', $request->tools->cut->size, $fine, false],
            ['/tools/score', $request->tools->score->size, $fine, false],
            ['/tools/punch', $request->tools->punch->size, $fine, false],
            ['/tools/notch', $request->tools->notch, $fine, false],
        ];
        $tools = $request->tools;
        $tools->trimmerScore === null || $rows[] = ['/tools/trimmer-score', $tools->trimmerScore->size, $fine, false];
        foreach ($tools->ownReaches() as $tool => $reach) {
            $rows[] = ['/tools/'.self::REACHES[$tool].'/reach', $reach, $cut, false];
        }
        $tools->ownSlantReach() === null || $rows[] = ['/tools/slant/reach', $tools->ownSlantReach(), $cut, false];
        $in = new FieldReader($request->spec);
        $isLayered = $in->get('/holds/layers') !== null && $in->get('/holds/thickness') === null;
        if ($isLayered) {
            foreach (CardLayers::of($in)->lengths() as $layer => $caliper) {
                $rows[] = ["/holds/layers/$layer", $caliper, $paper, true];
            }
        }
        if ($request->tools->reach !== null) {
            $rows[] = ['/tools/reach', $request->tools->reach, $cut, false];
        }
        foreach ($request->papers as $id => $one) {
            if ($one->id !== Paper::MAIN) {
                $rows[] = ["/papers/$id/caliper", $one->caliper, $paper, true];
                if ($one->sheet !== null) {
                    array_push($rows, ["/papers/$id/sheet/width", $one->sheet->width, $cut, false], ["/papers/$id/sheet/height", $one->sheet->height, $cut, false]);
                }
            }
        }
        array_push($rows, ...self::added($request, $in, $cut));
        if (($sheet = $request->paperNamed(Paper::MAIN)->sheet) !== null) {
            $rows[] = ['/paper/sheet/width', $sheet->width, $cut, false];
            $rows[] = ['/paper/sheet/height', $sheet->height, $cut, false];
        }
        foreach ($chosen as $option => $length) {
            $rows[] = ["/options/$option", $length, $cut, false];
        }
        $fields = [];
        foreach ($rows as [$at, $value, $step, $mayBeZero]) {
            $given = preg_match('~^/tools/[a-z-]+$~', $at) === 1 && $at !== '/tools/notch' ? StepText::join(ToolFields::written($in->get($at))) ?: null : $in->get($at);
            $fields[$at] = new Field($at, $value, $step, $isLayered && $at === '/holds/thickness' ? Unit::Millimetre : self::unit($given, $at, $request->system), $given !== null, $mayBeZero, is_string($given) ? $given : null);
        }

        return $fields;
    }

    /** @return list<array{string, Length, Step, bool}> what can be measured of what goes with it */
    private static function added(SizingRequest $request, FieldReader $in, Step $cut): array
    {
        $rows = [];
        foreach ($request->with as $addition) {
            $at = "/with/$addition->index";
            if ($addition->border !== null) {
                if (is_array($in->get("$at/border"))) {
                    array_push($rows, ["$at/border/width", $addition->border->width, $cut, true], ["$at/border/height", $addition->border->height, $cut, true]);
                } else {
                    $rows[] = ["$at/border", $addition->border->width, $cut, true];
                }
            }
            foreach ($addition->lengths as $name => $length) {
                $rows[] = ["$at/$name", $length, $cut, false];
            }
            foreach (['circle', 'rect/0', 'rect/1', 'oval/0', 'oval/1', 'radius'] as $size) {
                $in->get("$at/shape/$size") === null || $rows[] = ["$at/shape/$size", $in->length("$at/shape/$size", mayBeZero: true) ?? Length::zero(), $cut, $size === 'radius'];
            }
            if ($addition->at !== null) {
                array_push($rows, ["$at/at/left", $addition->at[0], $cut, false], ["$at/at/bottom", $addition->at[1], $cut, false]);
            }
        }

        return $rows;
    }

    /** Paper is always measured in millimetres; a maker who writes centimetres goes on reading them. */
    private static function unit(mixed $given, string $at, System $system): Unit
    {
        if ($at === '/paper/caliper' || str_starts_with($at, '/holds/layers/') || preg_match('~^/papers/[^/]+/caliper$~', $at) === 1) {
            return Unit::Millimetre;
        }
        $written = is_string($given) ? LengthParser::unitIn($given) : null;

        return $system === System::Metric && $written === Unit::Centimetre ? $written : $system->unit();
    }
}
