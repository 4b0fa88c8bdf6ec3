<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use App\Models\Design;
use App\Models\Tick;
use Carbon\CarbonImmutable;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Throwable;

/** The record of work of a design: which steps of which copies are done. What was ticked last counts, however late it is heard. */
final readonly class RecordController
{
    private const MOST = 500;

    private const MOST_COPIES = 999;

    private const LONGEST = 255;

    /** A clock that goes this wrong is not believed; seconds. */
    private const AHEAD = 86400;

    public function index(Design $design): JsonResponse
    {
        return new JsonResponse(['ticks' => Tick::query()->where('design_id', $design->id)->orderBy('ticked_at')->get()->map(self::said(...))->all()]);
    }

    /** `{"ticks": [{"step", "copy", "revision", "done", "figures", "at"}…]}` */
    public function store(Request $request, Design $design): JsonResponse
    {
        $rows = JsonBody::of($request)->object()['ticks'] ?? null;
        if (! is_array($rows) || $rows === [] || count($rows) > self::MOST) {
            throw InvalidDocument::at('/ticks', Reason::of('record.ticks', ['most' => self::MOST]));
        }
        $known = Tick::query()->where('design_id', $design->id)->get()->mapWithKeys(fn (Tick $tick) => ["$tick->step $tick->copy" => $tick->ticked_at])->all();
        $later = [];
        foreach (array_values($rows) as $i => $row) {
            $tick = self::read($row) ?? throw InvalidDocument::at("/ticks/$i", Reason::of('record.tick', ['most' => self::MOST_COPIES]));
            $of = "{$tick['step']} {$tick['copy']}";
            if (($known[$of] ?? '') < $tick['ticked_at']) {
                $known[$of] = $tick['ticked_at'];
                $later[$of] = ['design_id' => $design->id] + $tick;
            }
        }
        Tick::query()->upsert(array_values($later), Tick::KEY, ['revision', 'is_done', 'figures', 'ticked_at']);

        return $this->index($design);
    }

    /** @return ?array{step: string, copy: int, revision: int, is_done: bool, figures: string, ticked_at: string} null where it is none */
    private static function read(mixed $row): ?array
    {
        if (! is_array($row)) {
            return null;
        }
        [$step, $copy, $revision, $done, $figures, $at] = array_map(fn (string $key) => $row[$key] ?? null, ['step', 'copy', 'revision', 'done', 'figures', 'at']);
        if (! is_string($step) || preg_match('~^[a-z0-9][a-z0-9/.-]{0,119}$~', $step) !== 1
            || ! is_int($copy) || $copy < 1 || $copy > self::MOST_COPIES || ! is_int($revision) || $revision < 0 || $revision > PHP_INT_MAX >> 32
            || ! is_bool($done) || ! is_string($figures) || mb_strlen($figures) > self::LONGEST || ! is_string($at) || strlen($at) > 40) {
            return null;
        }
        try {
            $when = CarbonImmutable::parse($at)->utc();
        } catch (Throwable) {
            return null;
        }
        // Where a clock goes far ahead, what was ticked by it could never be taken back.
        $when = $when->min(CarbonImmutable::now()->addSeconds(self::AHEAD));

        return ['step' => $step, 'copy' => $copy, 'revision' => $revision, 'is_done' => $done, 'figures' => $figures, 'ticked_at' => $when->format('Y-m-d\TH:i:s.v\Z')];
    }

    /** @return array<string, mixed> */
    private static function said(Tick $tick): array
    {
        return ['step' => $tick->step, 'copy' => $tick->copy, 'revision' => $tick->revision, 'done' => $tick->is_done, 'figures' => $tick->figures, 'at' => $tick->ticked_at];
    }
}
