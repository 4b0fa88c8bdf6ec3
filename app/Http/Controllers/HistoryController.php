<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DesignAnswer;
use App\Http\JsonBody;
use App\Models\Design;
use App\Models\Moment;
use App\Models\NamedPoint;
use App\Shelf\Drafting;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Spec\SpecDiff;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What was done to a design, and the states of it that have a name. */
final readonly class HistoryController
{
    private const LATEST = 200;

    public function __construct(private Drafting $drafting)
    {
    }

    public function index(Design $design): JsonResponse
    {
        $revisions = $design->revisions()->orderByDesc('number')->limit(self::LATEST + 1)->get()->all();
        $rows = [];
        foreach (array_slice($revisions, 0, self::LATEST) as $i => $revision) {
            $before = $revisions[$i + 1] ?? null;
            $rows[] = [
                'number' => $revision->number, 'madeAt' => $revision->made_at,
                'changes' => $before === null ? [] : SpecDiff::between($before->document, $revision->document),
            ];
        }

        return new JsonResponse([
            'now' => $design->revision,
            'revisions' => $rows,
            'points' => NamedPoint::query()->where('design_id', $design->id)->orderByDesc('made_at')->get()->map(self::point(...))->all(),
        ]);
    }

    /** `{"revision": where the design is, "to": where it shall be}` */
    public function go(Request $request, string $design): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        [$from, $to] = [EditController::revision($body, '/revision'), EditController::revision($body, '/to')];

        return new DesignAnswer($this->drafting->step($design, $from, $to - $from), 200);
    }

    /** `{"name": …}`: gives the design as it is now a name. */
    public function name(Request $request, Design $design): JsonResponse
    {
        $document = DesignDocument::of(JsonBody::of($request)->object()['name'] ?? null, []);
        $point = NamedPoint::query()->create(['design_id' => $design->id, 'name' => $document->name, 'document' => $design->document, 'made_at' => Moment::now()]);

        return new JsonResponse(self::point($point), 201);
    }

    /** Makes the design what it was at that point: one more change, that can be undone like any. */
    public function return(Design $design, string $point): JsonResponse
    {
        $there = NamedPoint::query()->where('design_id', $design->id)->findOrFail($point);

        return new DesignAnswer($this->drafting->become($design->id, Design::document($there->document)), 200);
    }

    public function forget(Design $design, string $point): JsonResponse
    {
        NamedPoint::query()->where('design_id', $design->id)->findOrFail($point)->delete();

        return new JsonResponse((object) []);
    }

    /** @return array{id: string, name: string, madeAt: string} */
    private static function point(NamedPoint $point): array
    {
        return ['id' => $point->id, 'name' => $point->name, 'madeAt' => $point->made_at];
    }
}
