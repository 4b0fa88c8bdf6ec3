<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Database\Reader;
use App\Http\DesignAnswer;
use App\Models\Design;
use App\Models\Moment;
use App\Shelf\Drafting;
use App\Store\Archive;
use App\Store\Backup;
use App\Store\Backups;
use App\Store\Store;
use App\Store\StoreTrouble;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Copies of everything: made, looked into, put back; and everything as one file, out and in. */
final readonly class BackupController
{
    public function __construct(private Archive $archive)
    {
    }

    public function index(): JsonResponse
    {
        return new JsonResponse(['folder' => Store::current()->backups(), 'backups' => array_map(fn (Backup $one) => $one->view(), Backups::ofThis()->all())]);
    }

    public function store(): JsonResponse
    {
        Store::current()->glance();

        return new JsonResponse(Backups::ofThis()->make('asked')->view(), 201);
    }

    /** What is in one: the cards of its shelf, and how much of everything. */
    public function show(string $backup): JsonResponse
    {
        $found = Backups::ofThis()->find($backup);
        $in = Backups::ofThis()->look($found);
        $cards = array_map(fn (array $design) => substr(json_encode(array_diff_key($design, ['drawing' => 0]), JSON_THROW_ON_ERROR), 0, -1).',"drawing":'.$design['drawing'].'}', $in['designs']);
        $rest = json_encode(['backup' => $found->view(), 'counts' => (object) $in['counts']], JSON_THROW_ON_ERROR);

        return JsonResponse::fromJsonString(substr($rest, 0, -1).',"designs":['.implode(',', $cards).']}');
    }

    /** Everything becomes what it was then; what there is now is kept first. */
    public function restore(string $backup): JsonResponse
    {
        Store::current()->glance();

        return new JsonResponse(['before' => Backups::ofThis()->restore(Backups::ofThis()->find($backup))->view()]);
    }

    /** One design of it, put on the shelf beside what is there. */
    public function fetch(string $backup, string $id, Drafting $drafting): DesignAnswer
    {
        foreach (Reader::of(Backups::ofThis()->find($backup)->path)->rows('SELECT id, document, "group" FROM designs') as $row) {
            if ($row['id'] === $id) {
                $document = Design::document((array) json_decode((string) $row['document'], true, 64, JSON_THROW_ON_ERROR));

                return new DesignAnswer($drafting->start($document, (string) $row['group']), 201);
            }
        }
        throw StoreTrouble::of('store.no-backup');
    }

    public function everything(): StreamedResponse
    {
        Store::current()->glance();
        $now = Moment::now();

        return new StreamedResponse(function () use ($now): void {
            // One transaction, so that it is all of one moment.
            DB::transaction(function () use ($now): void {
                foreach ($this->archive->lines(new Reader(DB::connection()->getPdo()), $now) as $line) {
                    echo $line;
                }
            });
        }, 200, ['Content-Type' => 'application/jsonl', 'Content-Disposition' => 'attachment; filename="gimbo-everything-'.substr($now, 0, 10).'.jsonl"', 'X-Accel-Buffering' => 'no']);
    }

    /** Such a file, as the body: it becomes a backup, to be looked into and put back like any. */
    public function takeIn(Request $request): JsonResponse
    {
        /** @var resource $body */
        $body = $request->getContent(true);
        $unreadable = [];
        $backup = Backups::ofThis()->put('taken-in', function (string $path) use ($body, &$unreadable): void {
            $unreadable = $this->archive->read($body, $path);
        });

        return new JsonResponse(['backup' => $backup->view(), 'unreadable' => $unreadable], 201);
    }
}
