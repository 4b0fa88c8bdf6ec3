<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DesignAnswer;
use App\Http\JsonBody;
use App\Models\Design;
use App\Screen\DesignView;
use App\Shelf\Drafting;
use Gimbo\Core\Exchange\DesignDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The shelf: what is on it, what is put on it and taken off it. */
final readonly class DesignController
{
    public function __construct(private Drafting $drafting)
    {
    }

    public function index(): JsonResponse
    {
        return DesignView::shelf(Design::query()->orderByDesc('saved_at'));
    }

    /** What was taken off the shelf and is still there. */
    public function archive(): JsonResponse
    {
        return DesignView::shelf(Design::onlyTrashed()->orderByDesc('deleted_at'));
    }

    /** Starts a design from `{"name": …, "spec": {…}}`. */
    public function store(Request $request): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $draft = $this->drafting->start(DesignDocument::of($body['name'] ?? null, (array) ($body['spec'] ?? [])));

        return new DesignAnswer($draft, 201);
    }

    public function show(Design $design): JsonResponse
    {
        return new DesignAnswer($this->drafting->draft($design), 200);
    }

    /** Which state it is in: what is asked again and again by those who show it. */
    public function now(Design $design): JsonResponse
    {
        return new JsonResponse(['revision' => $design->revision, 'mark' => $design->mark()]);
    }

    public function copy(Design $design, Request $request): JsonResponse
    {
        $name = JsonBody::of($request)->object()['name'] ?? null;
        $copy = $this->drafting->start($design->toDocument()->named($name), $design->group);

        return new DesignAnswer($copy, 201);
    }

    /** `{"name": …}` or `{"group": …}`: a name is a change like any, a group is where it stands; an empty one takes it out. */
    public function update(Design $design, Request $request): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        if (array_key_exists('name', $body)) {
            $this->drafting->become($design->id, $design->toDocument()->named($body['name']));
        }
        if (array_key_exists('group', $body)) {
            $group = $body['group'] === '' ? '' : DesignDocument::of($body['group'], [])->name;
            Design::query()->whereKey($design->id)->update(['group' => $group]);
        }

        return new JsonResponse(DesignView::onShelf($design->refresh()));
    }

    /** Taken off the shelf, not thrown away: restore puts it back. */
    public function destroy(Design $design): JsonResponse
    {
        $design->delete();

        return new JsonResponse((object) []);
    }

    public function restore(Design $design): JsonResponse
    {
        $design->restore();

        return new JsonResponse(DesignView::onShelf($design));
    }
}
