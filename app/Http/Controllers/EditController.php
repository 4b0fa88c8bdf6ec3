<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drafting;
use App\Http\DesignView;
use App\Http\JsonBody;
use App\Models\Design;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Request\Change;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Changes to one design, and the way back. */
final readonly class EditController
{
    private const MOST_CHANGES = 20;

    private const MOST_NUDGES = 1000;

    public function __construct(private Drafting $drafting, private DesignView $view)
    {
    }

    /** `{"id": uuid, "gesture": text|null, "changes": [{"at": pointer, "to": value} | {"at": pointer, "nudge": steps}]}` */
    public function store(Request $request, Design $design): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $id = $body['id'] ?? null;
        if (! is_string($id) || preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/', $id) !== 1) {
            throw InvalidDocument::at('/id', Reason::of('edit.id'));
        }
        $gesture = $body['gesture'] ?? null;
        $edited = $this->drafting->edit($design->id, $id, is_string($gesture) ? mb_substr($gesture, 0, 64) : null, self::changes($body['changes'] ?? null));

        return new JsonResponse($this->view->of($edited));
    }

    /** `{"revision": n}`: one step back from revision n; from any other the answer is the design as it is, so that a repeated request does no harm. */
    public function undo(Request $request, Design $design): JsonResponse
    {
        return $this->step($request, $design, -1);
    }

    public function redo(Request $request, Design $design): JsonResponse
    {
        return $this->step($request, $design, 1);
    }

    private function step(Request $request, Design $design, int $by): JsonResponse
    {
        $from = JsonBody::of($request)->object()['revision'] ?? null;
        if (! is_int($from)) {
            throw InvalidDocument::at('/revision', Reason::of('edit.revision'));
        }

        return new JsonResponse($this->view->of($this->drafting->step($design->id, $from, $by)));
    }

    /** @return list<Change> */
    private static function changes(mixed $rows): array
    {
        if (! is_array($rows) || $rows === [] || count($rows) > self::MOST_CHANGES) {
            throw InvalidDocument::at('/changes', Reason::of('edit.changes', ['most' => self::MOST_CHANGES]));
        }
        $changes = [];
        foreach (array_values($rows) as $i => $row) {
            $at = is_array($row) ? ($row['at'] ?? null) : null;
            if (! is_array($row) || ! is_string($at)) {
                throw InvalidDocument::at("/changes/$i", Reason::of('edit.changes', ['most' => self::MOST_CHANGES]));
            }
            $nudge = $row['nudge'] ?? null;
            $changes[] = is_int($nudge) && abs($nudge) <= self::MOST_NUDGES ? Change::nudge($at, $nudge) : Change::set($at, $row['to'] ?? null);
        }

        return $changes;
    }
}
