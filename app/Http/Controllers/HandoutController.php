<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drafting;
use App\HandOn\Handout;
use App\HandOn\HandoutPdf;
use App\HandOn\PaperFormat;
use App\Models\Design;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** One design as a document for others: a page to print, and PDF. */
final readonly class HandoutController
{
    public function __construct(private Drafting $drafting, private Handout $handout)
    {
    }

    public function page(Design $design): Response
    {
        return new Response($this->handout->html($this->drafting->draft($design)));
    }

    /** `?paper=a4|letter` */
    public function pdf(Design $design, Request $request): Response
    {
        $format = PaperFormat::asked($request->query('paper'));
        $draft = $this->drafting->draft($design);

        return Download::of(HandoutPdf::write($this->handout->html($draft, $format), $format, $design->name), 'application/pdf', Str::slug("$design->name handout").'.pdf');
    }
}
