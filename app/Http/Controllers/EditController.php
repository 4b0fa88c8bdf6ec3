<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drafting;
use App\Http\ChangeList;
use App\Http\DesignView;
use App\Http\JsonBody;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Changes to one design, and the way back. */
final readonly class EditController
{
    public function __construct(private Drafting $drafting, private DesignView $view)
    {
    }

    /** `{"id": uuid, "gesture": text|null, "changes": [{"at": pointer, "to": value} | {"at": pointer, "nudge": steps}]}` */
    public function store(Request $request, string $design): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $id = $body['id'] ?? null;
        if (! is_string($id) || preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/', $id) !== 1) {
            throw InvalidDocument::at('/id', Reason::of('edit.id'));
        }
        $gesture = $body['gesture'] ?? null;
        $edited = $this->drafting->edit($design, $id, is_string($gesture) ? mb_substr($gesture, 0, 64) : null, ChangeList::read($body['changes'] ?? null));

        return new JsonResponse($this->view->of($edited));
    }

    /** `{"revision": n}`: one step back from revision n; from any other the answer is the design as it is, so that a repeated request does no harm. */
    public function undo(Request $request, string $design): JsonResponse
    {
        return $this->step($request, $design, -1);
    }

    public function redo(Request $request, string $design): JsonResponse
    {
        return $this->step($request, $design, 1);
    }

    private function step(Request $request, string $design, int $by): JsonResponse
    {
        $from = JsonBody::of($request)->object()['revision'] ?? null;
        if (! is_int($from)) {
            throw InvalidDocument::at('/revision', Reason::of('edit.revision'));
        }

        return new JsonResponse($this->view->of($this->drafting->step($design, $from, $by)));
    }
}
