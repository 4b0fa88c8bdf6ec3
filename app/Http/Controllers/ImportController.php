<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DesignAnswer;
use App\Http\JsonBody;
use App\Shelf\Drafting;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Takes in a design that somebody handed on: the file as it is, as the body. */
final class ImportController
{
    public function __invoke(Request $request, Sizing $sizing, Drafting $drafting): JsonResponse
    {
        $document = DesignDocument::read(JsonBody::of($request)->value, $sizing);

        return new DesignAnswer($drafting->start($document), 201);
    }
}
