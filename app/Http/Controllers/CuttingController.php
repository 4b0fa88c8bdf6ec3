<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Cutting\Cutters;
use App\Cutting\CutterTrouble;
use App\Cutting\Machine;
use App\Cutting\Wish;
use App\Http\JsonBody;
use App\Models\CuttingJob;
use App\Models\Design;
use App\Models\JobState;
use App\Models\Moment;
use App\Shelf\Drafting;
use App\Words\Words;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Exchange\ThumbnailWriter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Jobs for cutting machines: made from a design, sent one after another, kept until they are taken away. */
final readonly class CuttingController
{
    public function __construct(private Drafting $drafting, private Words $words)
    {
    }

    public function index(): JsonResponse
    {
        $jobs = CuttingJob::query()->orderByDesc('made_at')->orderByDesc('id')->get();

        $machines = Cutters::all();

        return new JsonResponse([
            'jobs' => $jobs->map($this->view(...))->all(),
            'machines' => array_map(fn (int|string $id, Machine $machine) => ['id' => (string) $id, 'name' => $machine->name, 'address' => "$machine->host:$machine->port"], array_keys($machines), $machines),
        ]);
    }

    /** `{"cutter": id, "pieces": [id, …]}`: a job for each copy of each piece named, or of all of them. */
    public function store(Design $design, Request $request): JsonResponse
    {
        $in = new FieldReader(JsonBody::of($request)->value);
        $in->allowOnly('', ['cutter', 'pieces']);
        $machines = Cutters::all();
        $machine = $machines[$in->choice('/cutter', array_map(strval(...), array_keys($machines)), Cutters::STAND_IN)];
        $pieces = $this->drafting->draft($design)->sized->pieces;
        $wanted = $in->get('/pieces') ?? array_map(fn (Piece $piece) => $piece->id, $pieces);
        $chosen = array_filter($pieces, fn (Piece $piece) => is_array($wanted) && in_array($piece->id, $wanted, true));
        $chosen !== [] || $in->problem('/pieces', Reason::of('cutter.no-piece'));
        foreach ($chosen as $piece) {
            $machine->turns($piece) !== null || $in->problem('/cutter', Reason::of('cutter.too-small', [
                'width' => $piece->sheet->width, 'height' => $piece->sheet->height, 'bedWidth' => $machine->width, 'bedHeight' => $machine->height,
            ]));
        }
        $in->throwProblems();
        $jobs = [];
        foreach ($chosen as $piece) {
            for ($copy = 0; $copy < $piece->count; $copy++) {
                $jobs[] = CuttingJob::query()->create([
                    'name' => $design->name, 'piece' => $piece->id, 'cutter' => $machine->address(),
                    'drawing' => ThumbnailWriter::write($piece), 'instructions' => HpglFile::write($piece, $machine->turns($piece) === true),
                    'state' => JobState::Waiting, 'sent' => 0, 'made_at' => Moment::now(), 'touched_at' => Moment::now(),
                ]);
            }
        }

        return new JsonResponse(['jobs' => array_map(fn (CuttingJob $job) => $this->view($job->refresh()), $jobs)], 201);
    }

    /** Sends a job that was broken off, or was done, once more. */
    public function again(CuttingJob $job): JsonResponse
    {
        $this->isAtRest($job) && $job->wait(goesOn: false);

        return new JsonResponse($this->view($job->refresh()));
    }

    /** Sends the rest of a job that was broken off, from where the machine had got. */
    public function goOn(CuttingJob $job): JsonResponse
    {
        $this->isAtRest($job) && $job->wait(goesOn: true);

        return new JsonResponse($this->view($job->refresh()));
    }

    /** `{"wish": "pause" | "go-on" | "stop"}` of a job under way; one that still waits is stopped at once. */
    public function wish(CuttingJob $job, Request $request): JsonResponse
    {
        $in = new FieldReader(JsonBody::of($request)->value);
        $in->allowOnly('', ['wish']);
        $wish = Wish::from($in->choice('/wish', [Wish::GoOn->value, Wish::Pause->value, Wish::Stop->value], Wish::Stop->value));
        $in->throwProblems();
        if ($job->state === JobState::Waiting && $wish === Wish::Stop) {
            $job->update(['state' => JobState::Stopped, 'touched_at' => Moment::now()]);
        } elseif ($job->state === JobState::Sending) {
            $job->update(['asked' => $wish->value]);
        }

        return new JsonResponse($this->view($job->refresh()));
    }

    /** Taken away; what is being sent of it stops at the end of its line, tool up. */
    public function destroy(CuttingJob $job): JsonResponse
    {
        $job->delete();

        return new JsonResponse((object) []);
    }

    private function isAtRest(CuttingJob $job): bool
    {
        return ! in_array($job->state, [JobState::Waiting, JobState::Sending], true) || $job->isCutOff();
    }

    /** @return array<string, mixed> */
    private function view(CuttingJob $job): array
    {
        if ($job->isCutOff()) {
            $job->fill(['state' => JobState::Failed, 'reason' => CutterTrouble::interrupted()->reason]);
        }
        $said = ['cutter' => $job->cutter['name'], 'address' => $job->cutter['host'].':'.$job->cutter['port']];

        return [
            'id' => $job->id, 'name' => $job->name, 'piece' => $job->piece, 'cutter' => $said['cutter'], 'address' => $said['address'],
            'drawing' => $job->drawing, 'state' => $job->state->value, 'wish' => $job->state === JobState::Sending ? ($job->asked ?? Wish::GoOn->value) : null,
            'canGoOn' => $job->canGoOn(),
            'share' => $job->state === JobState::Done ? 1.0 : round($job->sent / max(1, strlen($job->instructions)), 3),
            'trouble' => $job->reason === null ? null : $this->words->sentence($job->reason, $said),
            'madeAt' => $job->made_at,
        ];
    }
}
