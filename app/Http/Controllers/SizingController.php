<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ChangeList;
use App\Http\JsonBody;
use App\Screen\SizedView;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Sizes a spec without keeping it: `{"spec": {…}, "changes": […]}`, the changes applied first. */
final class SizingController
{
    public function __invoke(Request $request, Sizing $sizing, SizedView $view): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $spec = $body['spec'] ?? null;
        $changes = ($body['changes'] ?? []) === [] ? [] : ChangeList::read($body['changes']);

        return new JsonResponse($view->whole($sizing->size($changes === [] ? $spec : $sizing->edited($spec, $changes))));
    }
}
